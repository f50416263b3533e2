<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\ChargeSession;
use App\Models\Garage;
use App\Models\Outlet;
use App\Models\User;
use App\Models\Vehicle;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\Sample;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Every field of every call of the OpenAPI document, with something in it that belongs elsewhere: answered or refused in words, never with a failure. */
#[Group('slow')]
final class EveryFieldTest extends TestCase
{
    use StartsFromSeed;

    private const JUNK = [
        'a list' => ['a'], 'a list of lists' => [[['a']]], 'an object' => ['a' => ['b' => 1]], 'nothing' => null, 'an empty list' => [], 'a large number' => 1e308,
        'what nobody sees' => "\u{202e}\u{200b}", 'control characters' => "a\0b\u{1b}[31m\u{202e}", 'a long word' => 'w',
    ];

    private const LONG = 70_000;

    /** Every field takes a list, an object and a text that nobody sees; of the rest each takes one, in turn. */
    private const ALWAYS = ['a list' => true, 'an object' => true, 'what nobody sees' => true];

    /** @return array<string, array{string, string}> */
    public static function calls(): array
    {
        return Sample::operations();
    }

    #[DataProvider('calls')]
    public function test_a_list_or_an_object_where_a_word_is_expected_is_refused_in_words(string $method, string $path): void
    {
        $person = $this->keeper();
        $sample = new Sample($this->known($person));
        $at = '/api'.$sample->path($path);
        $body = $sample->body($method, $path);
        $tried = 0;
        foreach (Sample::queryNames($method, $path) as $name) {
            foreach ([...self::JUNK, 'nested' => ['a' => ['b' => ['c' => 'd']]]] as $junk) {
                $this->holds($person, $method, "{$at}?".http_build_query([$name => self::grown($junk)]), $body, "?{$name}");
                $tried++;
            }
        }
        foreach ($body === null ? [] : ['', ...Sample::fields($body)] as $field) {
            foreach (self::turn($tried) as $junk) {
                $wrong = $body;
                if ($field === '') {
                    $wrong = (array) $junk;
                } else {
                    Arr::set($wrong, $field, self::grown($junk));
                }
                $this->holds($person, $method, $at, $wrong, $field);
                $tried++;
            }
        }
        foreach (Sample::formNames($method, $path) as $name) {
            foreach ([['a'], ['a' => ['b']], 'a word', ''] as $junk) {
                $this->holds($person, $method, $at, null, "form {$name}", ['Content-Type' => 'multipart/form-data'], [$name => $junk]);
                $tried++;
            }
        }
        foreach (self::places($path) as $name) {
            foreach (['%00', '..%2f..', '%ff', 'a[]', str_repeat('y', 300), '-1', '%F0%9F%94%8C'] as $junk) {
                $this->holds($person, $method, '/api'.(new Sample([...$this->known($person), $name => $junk]))->path($path), $body, $name);
                $tried++;
            }
        }
        foreach (['X-Garage' => "\u{ff}", 'X-Account' => '[]', 'Accept-Language' => str_repeat('x,', 500), 'Content-Type' => 'application/json; charset=utf-7'] as $header => $value) {
            $this->holds($person, $method, $at, $body, $header, [$header => $value]);
            $tried++;
        }
        self::assertGreaterThan(3, $tried);
    }

    /** @return array<string, mixed> */
    private static function turn(int $tried): array
    {
        $others = array_diff_key(self::JUNK, self::ALWAYS);
        $name = array_keys($others)[$tried % count($others)];

        return [...array_intersect_key(self::JUNK, self::ALWAYS), $name => $others[$name]];
    }

    private static function grown(mixed $junk): mixed
    {
        return $junk === 'w' ? str_repeat('w', self::LONG) : $junk;
    }

    /** @return list<string> */
    private static function places(string $path): array
    {
        preg_match_all('/\{(\w+)\}/', $path, $found);

        return $found[1];
    }

    /**
     * @param  array<array-key, mixed>|null  $body
     * @param  array<string, string>  $headers
     * @param  array<string, mixed>  $form
     */
    private function holds(User $person, string $method, string $at, ?array $body, string $field, array $headers = [], array $form = []): void
    {
        DB::beginTransaction();
        try {
            $this->actingAs($person);
            $response = $this->call($method, $at, $form, server: $this->transformHeadersToServerVars(['Accept' => 'application/json', 'Content-Type' => 'application/json', ...$headers]), content: $body === null ? '' : (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR));
            $said = mb_substr("{$method} {$at}, {$field}: {$response->getStatusCode()} ".self::content($response).' '.json_encode($body), 0, 2_000);
            self::assertTrue($response->getStatusCode() < 500, $said);
            if ($response->getStatusCode() >= 400) {
                self::assertNotSame('', trim((string) $response->json('message')), $said);
            }
        } finally {
            DB::rollBack();
        }
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $response */
    private static function content(TestResponse $response): string
    {
        if ($response->baseResponse instanceof StreamedResponse) {
            return mb_substr($response->streamedContent(), 0, 400);
        }

        return mb_substr((string) $response->getContent(), 0, 400).' '.(($response->exception ?? null)?->getMessage() ?? '');
    }

    /** A keeper of the demo's garage whom nothing made up holds back. */
    private function keeper(): User
    {
        $demo = $this->demoUser();

        return $this->person('keeper', Role::Keeper, Garage::query()->findOrFail($demo->garage_id));
    }

    /** @return array<string, string> what stands for something in this garage, by the name of its field */
    private function known(User $person): array
    {
        return $this->inside($person, static function (): array {
            $car = Vehicle::query()->orderBy('id')->firstOrFail()->ulid;
            $session = ChargeSession::query()->orderByDesc('id')->pluck('ulid');

            return [
                'kind' => 'vehicles', 'piece' => $car, 'vehicle' => $car, 'outlet' => Outlet::query()->orderBy('id')->firstOrFail()->ulid,
                'session' => $session[0], 'id' => $session[0], 'baseline' => $session[1], 'locale' => 'en-GB', 'timezone' => 'Europe/Oslo', 'currency' => 'EUR', 'client_id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV',
            ];
        });
    }
}
