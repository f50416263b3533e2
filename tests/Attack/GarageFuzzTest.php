<?php

declare(strict_types=1);

namespace Tests\Attack;

use App\Garage\Role;
use App\Models\Garage;
use App\Models\User;
use App\Moving\GarageDocument;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Mutated documents of a garage: each comes in whole, or is refused by its field and leaves nothing. */
final class GarageFuzzTest extends TestCase
{
    use StartsFromSeed;

    private const JUNK = [null, '', 'x', '500', true, false, 0, -1, 1, 100, 1e308, -1e308, [], [[]], [[0, 1]], ['a' => 1], [null], 'ccs1', "\u{202e}\0", '2026-01-01T00:00:00Z'];

    public function test_a_mutated_document_comes_in_or_is_refused(): void
    {
        $demo = $this->demoUser();
        $document = json_decode($this->inside($demo, fn (): string => implode('', iterator_to_array($this->app->make(GarageDocument::class)->parts(Garage::query()->findOrFail($demo->garage_id)), false))), true);
        // Few readings of few sessions: it is the rest that is tried.
        $document['sessions'] = array_map(static function (array $s): array {
            $s['readings']['rows'] = array_slice($s['readings']['rows'], 0, 4);

            return $s;
        }, array_slice($document['sessions'], 0, 4));
        $came = $refused = 0;
        for ($seed = 0, $rounds = Rounds::of(60, 2_000); $seed < $rounds; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $keeper = $this->person("rook{$seed}", Role::Keeper, Garage::query()->create(['name' => "Yard {$seed}"]));
            $json = (string) json_encode(self::mutated($document, $random, 1 + $seed % 3), JSON_PARTIAL_OUTPUT_ON_ERROR);
            $answer = $this->bring($keeper, $json);
            self::assertContains($answer->getStatusCode(), [200, 422], "seed {$seed}: ".$answer->getContent());
            $held = (int) DB::table('charge_sessions')->where('garage_id', $keeper->garage_id)->count() + (int) DB::table('vehicles')->where('garage_id', $keeper->garage_id)->count();
            if ($answer->getStatusCode() === 422) {
                self::assertSame(0, $held, "seed {$seed}");
                self::assertNotSame([], $answer->json('errors'), "seed {$seed}");
                $refused++;

                continue;
            }
            $came++;
            foreach (['/api/sessions', '/api/memory', '/api/trust', '/api/garage'] as $door) {
                self::assertSame(200, $this->getJson($door)->getStatusCode(), "seed {$seed}: {$door}");
            }
            foreach (DB::table('charge_sessions')->where('garage_id', $keeper->garage_id)->pluck('ulid') as $id) {
                self::assertSame(200, $this->getJson("/api/sessions/{$id}")->getStatusCode(), "seed {$seed}: session {$id}");
            }
            // What came in leaves again, and is the same when it comes once more.
            self::assertSame(0, $this->bring($keeper, $this->inside($keeper, fn (): string => implode('', iterator_to_array($this->app->make(GarageDocument::class)->parts(Garage::query()->findOrFail($keeper->garage_id)), false))))->assertOk()->json('added'), "seed {$seed}");
        }
        self::assertGreaterThan(0, min($came, $refused));
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function bring(User $user, string $json): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($user)->post('/api/garage/import', ['file' => UploadedFile::fake()->createWithContent('g.json', $json)], ['Accept' => 'application/json']);
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function mutated(array $document, Randomizer $random, int $times): array
    {
        for ($i = 0; $i < $times; $i++) {
            // Mostly among the sessions.
            $at = &$document;
            if ($random->getInt(0, 3) > 0 && is_array($document['sessions'] ?? null)) {
                $at = &$document['sessions'];
            }
            for ($depth = $random->getInt(1, 6); $depth > 0 && is_array($at) && $at !== []; $depth--) {
                $at = &$at[$random->pickArrayKeys($at, 1)[0]];
            }
            $at = self::JUNK[$random->getInt(0, count(self::JUNK) - 1)];
            unset($at);
        }

        return $document;
    }
}
