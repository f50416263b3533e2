<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Place;
use Illuminate\Support\Arr;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\Contract;
use Tests\PlateSchema;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What is typed is kept: every figure of every plate, and what somebody else has changed meanwhile. */
#[Group('slow')]
final class PlateFieldsTest extends TestCase
{
    use StartsFromSeed;

    /** A plate of which nothing has been read, with its parts already there. */
    private const EMPTY = [
        'vehicle' => ['pack' => [], 'inlets' => [['coupler' => 'ccs1', 'dc' => [], 'ac' => []]]],
        'adapter' => ['input' => 'ccs1', 'output' => 'j3400', 'plate' => []],
        'outlet' => ['coupler' => 'ccs1', 'current' => 'dc', 'cable' => [], 'cabinet' => [], 'supply' => [], 'access' => []],
    ];

    /** Figures that stand only beside others. */
    private const BESIDE = [
        'boost_a' => ['boost_minutes' => 10],
        'from' => ['to' => ['plc']],
        'to' => ['from' => ['plc']],
        'monthly_fee' => ['per_kwh' => '0.20'],
        'adds' => ['state' => 'available'],
        'state' => ['adds' => ['plc']],
    ];

    private const KINDS = ['vehicle' => 'vehicles', 'adapter' => 'adapters', 'outlet' => 'outlets'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    #[DataProvider('pieces')]
    public function test_every_figure_typed_after_an_empty_start_comes_back(string $piece): void
    {
        [$id, $version] = $this->begin($piece, self::EMPTY[$piece]);
        $lost = $typed = [];
        foreach (PlateSchema::figures($piece) as $path => $value) {
            if ($path === 'id' || $path === 'name') {
                continue;
            }
            $typed[$path] = match (true) {
                $path === 'tariff.minute_bands' => [['from_kw' => 0, 'per_minute' => '0.1']],
                str_ends_with($path, 'limit_c') => 90,
                str_ends_with($path, '_on') => '2031-05-02',
                default => $value,
            };
            $response = $this->putJson("/api/pieces/{$this->kind($piece)}/{$id}", ['version' => $version, 'changes' => [...$this->beside($path, $typed), $path => $typed[$path]]]);
            $response->assertOk();
            $version = $response->json('version');
            if (Arr::get($this->spec($piece, $id), $path) != $typed[$path]) {
                $lost[] = $path;
            }
        }

        self::assertSame([], $lost);
        // None was lost to a later one, but where the same part was replaced as a whole.
        foreach ($typed as $path => $value) {
            self::assertEquals($value, Arr::get($this->spec($piece, $id), $path), $path);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function pieces(): iterable
    {
        foreach (array_keys(self::KINDS) as $piece) {
            yield $piece => [$piece];
        }
    }

    public function test_an_empty_object_stays_one(): void
    {
        [$id] = $this->begin('vehicle', self::EMPTY['vehicle']);
        $json = (string) $this->getJson('/api/garage')->getContent();
        $spec = collect(json_decode($json)->vehicles)->firstWhere('id', $id)->spec;

        self::assertEquals(json_decode('{"pack":{},"inlets":[{"coupler":"ccs1","dc":{},"ac":{}}]}'), $spec);
    }

    public function test_only_what_the_core_reads_is_kept(): void
    {
        $deep = [];
        for ($i = 0, $at = &$deep; $i < 40; $i++) {
            $at = ['deeper' => []];
            $at = &$at['deeper'];
        }
        [$id] = $this->begin('adapter', ['plate' => ['max_v' => 500, 'colour' => 'red'], 'unknown' => $deep] + self::EMPTY['adapter']);

        self::assertEquals([
            'input' => 'ccs1', 'output' => 'j3400', 'plate' => ['max_v' => 500],
            'origins' => ['plate.max_v' => ['origin' => 'read', 'on' => $this->today()]],
        ], $this->spec('adapter', $id));
        $this->getJson('/api/board')->assertOk();
    }

    public function test_an_older_copy_overwrites_nothing(): void
    {
        [$id, $version] = $this->begin('adapter', ['plate' => ['max_v' => 500, 'continuous_a' => 200]] + self::EMPTY['adapter']);
        $path = "/api/pieces/adapters/{$id}";
        $this->putJson($path, ['version' => $version, 'changes' => ['plate.continuous_a' => 150]])->assertOk()->assertJsonPath('version', $version + 1);

        $late = $this->putJson($path, ['version' => $version, 'name' => 'Typed late', 'changes' => ['plate.max_v' => 1000]])->assertStatus(409);
        Contract::holds('PUT', '/pieces/{kind}/{piece}', $late);
        $late->assertJsonPath('now.version', $version + 1)->assertJsonPath('now.spec.plate.continuous_a', 150)->assertJsonPath('now.name', 'Typed')
            ->assertJsonPath('sent.name', 'Typed late')->assertJsonPath('sent.changes', ['plate.max_v' => 1000]);
        self::assertEquals(['max_v' => 500, 'continuous_a' => 150], $this->spec('adapter', $id)['plate']);

        // On top of what is there now it goes through, and leaves the rest alone.
        $this->putJson($path, ['version' => $version + 1, 'changes' => ['plate.max_v' => 1000]])->assertOk();
        self::assertEquals(['max_v' => 1000, 'continuous_a' => 150], $this->spec('adapter', $id)['plate']);
    }

    public function test_a_piece_put_aside_while_it_is_edited_says_so(): void
    {
        [$id, $version] = $this->begin('vehicle', self::EMPTY['vehicle']);
        $this->deleteJson("/api/pieces/vehicles/{$id}")->assertNoContent();

        $late = $this->putJson("/api/pieces/vehicles/{$id}", ['version' => $version, 'changes' => ['pack.usable_kwh' => 60]])->assertStatus(410);
        Contract::holds('PUT', '/pieces/{kind}/{piece}', $late);
        self::assertStringContainsString('Typed was deleted in the meantime', $late->json('message'));
        $back = $this->postJson("/api/pieces/vehicles/{$id}/restore")->assertOk()->json('version');
        $this->putJson("/api/pieces/vehicles/{$id}", ['version' => $back, 'changes' => ['pack.usable_kwh' => 60]])->assertOk();
        self::assertSame(60, $this->spec('vehicle', $id)['pack']['usable_kwh']);
    }

    public function test_a_change_that_is_none_is_refused_by_its_field(): void
    {
        [$id] = $this->begin('vehicle', self::EMPTY['vehicle']);
        foreach ([
            'version' => ['changes' => []],
            'changes' => ['version' => 1, 'changes' => 'all'],
            'spec.pack.usable_kwh' => ['version' => 1, 'changes' => ['pack.usable_kwh' => 'sixty']],
            'changes.pack.colour' => ['version' => 1, 'changes' => ['pack.colour' => 'red']],
            'spec.inlets' => ['version' => 1, 'changes' => ['inlets.4.dc.max_v' => 500]],
            'spec.inlets[0].dc.max_v' => ['version' => 1, 'changes' => ['inlets.0.dc.max_v' => '5OO']],
        ] as $field => $body) {
            $this->putJson("/api/pieces/vehicles/{$id}", $body)->assertStatus(422)->assertJsonStructure(['errors' => [$field]]);
        }
        $this->putJson("/api/pieces/vehicles/{$id}", ['version' => 1, 'changes' => [implode('.', array_fill(0, 40, 'a')) => 1]])->assertStatus(422);
    }

    /**
     * @param  array<string, mixed>  $spec
     * @return array{string, int} its id and version
     */
    private function begin(string $piece, array $spec): array
    {
        $body = ['name' => 'Typed', 'spec' => $spec, 'tag' => 'T', 'place' => Place::query()->firstOrFail()->ulid];
        $kept = $this->postJson("/api/pieces/{$this->kind($piece)}", $body)->assertCreated();

        return [$kept->json('id'), $kept->json('version')];
    }

    private function kind(string $piece): string
    {
        return self::KINDS[$piece];
    }

    /** @return array<string, mixed> */
    private function spec(string $piece, string $id): array
    {
        $garage = $this->getJson('/api/garage')->assertOk()->json();
        $all = $piece === 'outlet' ? array_merge(...array_column($garage['places'], 'outlets')) : $garage[self::KINDS[$piece]];

        return collect($all)->firstWhere('id', $id)['spec'];
    }

    /**
     * @param  array<string, mixed>  $typed  so far
     * @return array<string, mixed> what must stand beside a figure, by path
     */
    private function beside(string $path, array $typed): array
    {
        $parent = substr($path, 0, (int) strrpos($path, '.'));
        $needed = match (true) {
            str_starts_with($path, 'attached_adapter.') => ['attached_adapter.id' => 'attached', 'attached_adapter.input' => 'ccs1', 'attached_adapter.output' => 'j3400'],
            str_starts_with($path, 'tariff.') => ['tariff.currency' => 'EUR'],
            default => [],
        };
        foreach (self::BESIDE[substr($path, strlen($parent) + 1)] ?? [] as $key => $value) {
            $needed["{$parent}.{$key}"] = $value;
        }

        return array_diff_key($needed, $typed);
    }
}
