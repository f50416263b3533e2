<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\NetworkImport;
use App\Models\NetworkTerm;
use App\Models\Outlet;
use App\Models\Place;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Places as their networks tell them: brought in, brought up to date, taken back. */
final class OcpiApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_a_file_is_shown_first_and_then_brought_in(): void
    {
        $preview = $this->upload('preview', self::locations())->assertOk();
        Contract::holds('POST', '/ocpi/preview', $preview);
        self::assertSame([1, 3, 0], [$preview->json('counts.places.new'), $preview->json('counts.outlets.new'), $preview->json('counts.outlets.changed')]);
        self::assertSame(['CCS1, 350 kW', 'CHAdeMO', 'Type 2, 22 kW'], array_column($preview->json('places.0.outlets'), 'name'));
        self::assertSame(['new', 'new', 'new'], array_column($preview->json('places.0.outlets'), 'kind'));
        self::assertSame([['label' => '1', 'evse_id' => 'XX*ABC*E1', 'fault' => null], ['label' => '2', 'evse_id' => 'XX*ABC*E2', 'fault' => 'out of order, says its network']], $preview->json('places.0.outlets.0.stalls'));
        self::assertSame(5, Place::query()->count(), 'a preview writes nothing');

        $imported = $this->upload('import', self::locations())->assertOk()->assertJsonPath('counts.outlets.new', 3)->assertJsonPath('counts.places.new', 1);
        Contract::holds('POST', '/ocpi/import', $imported);
        $outlet = $this->outlet('CCS1, 350 kW');
        self::assertEquals([920, 500, 350, null, ['plc']], [$outlet->spec['max_v'], $outlet->spec['max_a'], $outlet->spec['max_kw'], $outlet->spec['min_v'], $outlet->spec['signalling']]);
        self::assertSame(['out of order, says its network'], array_values(array_filter(array_column($outlet->spec['stalls'], 'fault'))));
    }

    public function test_what_is_no_place_to_charge_begins_none_and_empties_one_that_is_here(): void
    {
        [$sluice] = self::locations();
        $bare = ['id' => 'L2', 'name' => 'Bare quay', 'evses' => []];
        $hidden = [...$sluice, 'id' => 'L3', 'name' => 'Depot', 'publish' => false];

        $preview = $this->upload('preview', [$sluice, $bare, $hidden])->assertOk()->assertJsonPath('counts.places.new', 1);
        Contract::holds('POST', '/ocpi/preview', $preview);
        self::assertSame(['Bare quay is left out: it has no stalls', 'Depot is left out: its network does not publish it'], array_map(static fn (string $s): string => rtrim($s, '. '), $preview->json('left_out')));
        $this->upload('import', [$sluice, $bare, $hidden])->assertOk();
        self::assertSame(6, Place::query()->count());

        // Its network has taken every stall away: that is told of a place that is here, not passed over.
        $this->upload('preview', [[...$sluice, 'evses' => []]])->assertOk()->assertJsonPath('left_out', [])->assertJsonPath('counts.outlets.gone', 3);
    }

    public function test_prices_come_from_a_tariffs_file_and_stay_when_the_next_file_has_none(): void
    {
        $locations = self::locations();
        $locations[0]['operator'] = ['name' => 'Ostler'];
        foreach ([0, 1] as $stall) {
            $locations[0]['evses'][$stall]['connectors'][0]['tariff_ids'] = ['T1'];
        }
        $tariffs = ['data' => [['country_code' => 'XX', 'party_id' => 'ABC', 'id' => 'T1', 'currency' => 'USD', 'elements' => [['price_components' => [['type' => 'ENERGY', 'price' => 0.5, 'vat' => 10, 'step_size' => 1]]]]]]];

        $this->upload('preview', $locations)->assertOk()->assertJsonPath('prices', ['named' => 1, 'found' => 0, 'left_open' => []]);
        $preview = $this->upload('preview', $locations, null, $tariffs)->assertOk()->assertJsonPath('prices', ['named' => 1, 'found' => 1, 'left_open' => []]);
        Contract::holds('POST', '/ocpi/preview', $preview);
        $this->upload('preview', $locations, null, $locations)->assertStatus(422)->assertJsonValidationErrors('tariffs');
        $this->upload('import', $locations, null, $tariffs)->assertOk()->assertJsonPath('counts.outlets.new', 3);
        $outlet = $this->outlet('CCS1, 350 kW');
        self::assertSame(['USD', '0.55', '0', 'Ostler'], [$outlet->spec['tariff']['currency'], $outlet->spec['tariff']['per_kwh'], $outlet->spec['tariff']['per_minute'], $outlet->spec['access']['network']]);
        self::assertArrayNotHasKey('tariff', $this->outlet('CHAdeMO')->spec);

        // Neither the places alone nor our own export of them takes a price or a network away.
        $this->upload('import', $locations)->assertOk()->assertJsonPath('import', null);
        $export = $this->getJson('/api/ocpi/export')->assertOk();
        $this->upload('import', ['data' => $export->json('locations')])->assertOk()->assertJsonPath('import', null);
    }

    public function test_the_same_file_again_adds_nothing_and_an_export_adds_nothing_either(): void
    {
        $this->upload('import', self::locations())->assertOk();
        $before = $this->rows();

        $again = $this->upload('import', self::locations())->assertOk()->assertJsonPath('import', null)->assertJsonPath('counts.outlets.same', 3)->assertJsonPath('counts.places.same', 1);
        Contract::holds('POST', '/ocpi/import', $again);
        self::assertSame($before, $this->rows());

        // Everything that is there, our own places too.
        $export = $this->getJson('/api/ocpi/export')->assertOk();
        Contract::holds('GET', '/ocpi/export', $export);
        $this->upload('import', ['data' => $export->json('locations')])->assertOk()->assertJsonPath('import', null);
        self::assertSame($before, $this->rows());
    }

    public function test_the_file_changes_what_changed_and_what_was_typed_stays(): void
    {
        $this->upload('import', self::locations())->assertOk();
        $ccs = $this->outlet('CCS1, 350 kW');
        $this->putJson("/api/pieces/outlets/{$ccs->ulid}", ['version' => 1, 'name' => 'The big ones', 'changes' => ['min_v' => 150, 'max_a' => 480]])->assertOk();

        $next = self::locations();
        $next[0]['name'] = 'Sluice wharf north';
        foreach ([0, 1] as $stall) {
            $next[0]['evses'][$stall]['connectors'][0] = [...$next[0]['evses'][$stall]['connectors'][0], 'max_amperage' => 400, 'max_electric_power' => 300000];
        }
        $next[0]['evses'][1]['status'] = 'AVAILABLE';
        unset($next[0]['evses'][2]);
        $preview = $this->upload('preview', $next)->assertOk();
        Contract::holds('POST', '/ocpi/preview', $preview);
        self::assertSame(['Sluice wharf north', 'Sluice wharf', 'changed'], [$preview->json('places.0.name'), $preview->json('places.0.was'), $preview->json('places.0.kind')]);
        self::assertSame(['changed', 'same', 'gone'], array_column($preview->json('places.0.outlets'), 'kind'));
        self::assertEqualsCanonicalizing([
            // Both named it anew: the name that was typed stays.
            ['path' => 'name', 'here' => 'The big ones', 'file' => 'CCS1, 300 kW', 'kept' => true],
            ['path' => 'max_a', 'here' => 480, 'file' => 400, 'kept' => true],
            ['path' => 'max_kw', 'here' => 350, 'file' => 300, 'kept' => false],
            ['path' => 'sticker_kw', 'here' => 350, 'file' => 300, 'kept' => false],
            ['path' => 'stalls.2.fault', 'here' => 'out of order, says its network', 'file' => null, 'kept' => false],
        ], $preview->json('places.0.outlets.0.figures'));

        $this->upload('import', $next)->assertOk()->assertJsonPath('counts.outlets.changed', 1)->assertJsonPath('counts.outlets.gone', 1)->assertJsonPath('counts.outlets.new', 0);
        $ccs->refresh();
        self::assertEquals(['The big ones', 150, 480, 300, 3], [$ccs->name, $ccs->spec['min_v'], $ccs->spec['max_a'], $ccs->spec['max_kw'], $ccs->version]);
        self::assertSame([], array_filter(array_column($ccs->spec['stalls'], 'fault')));
        self::assertSame(0, Outlet::query()->where('name', 'Type 2, 22 kW')->count());
        $this->upload('import', $next)->assertOk()->assertJsonPath('import', null);
    }

    public function test_an_import_is_undone_as_a_whole_and_what_was_typed_since_stays(): void
    {
        $empty = $this->rows();
        $this->upload('import', self::locations())->assertOk();
        $first = $this->rows();
        $imported = $this->outlet('CHAdeMO')->spec['origins'];
        self::assertSame(['origin' => 'imported', 'on' => $this->today()], $imported['max_a']);
        $next = self::locations();
        $next[0]['name'] = 'Sluice wharf north';
        $next[0]['evses'][0]['connectors'][0]['max_voltage'] = $next[0]['evses'][1]['connectors'][0]['max_voltage'] = 1000;
        $next[0]['evses'][0]['connectors'][1]['max_amperage'] = 200;
        unset($next[0]['evses'][2]);
        $this->upload('import', $next)->assertOk();
        $chademo = $this->outlet('CHAdeMO');
        $this->putJson("/api/pieces/outlets/{$chademo->ulid}", ['version' => $chademo->version, 'changes' => ['min_v' => 150, 'max_a' => 190]])->assertOk();

        $list = $this->getJson('/api/ocpi/imports')->assertOk();
        Contract::holds('GET', '/ocpi/imports', $list);
        [$newest, $oldest] = $list->json('*.id');
        Contract::holds('POST', '/ocpi/imports/{import}/undo', $this->postJson("/api/ocpi/imports/{$oldest}/undo")->assertStatus(409));

        $undone = $this->postJson("/api/ocpi/imports/{$newest}/undo")->assertOk();
        Contract::holds('POST', '/ocpi/imports/{import}/undo', $undone);
        self::assertSame(['CHAdeMO'], $undone->json('kept'));
        $chademo->refresh();
        self::assertEquals([150, 190, 'read'], [$chademo->spec['min_v'], $chademo->spec['max_a'], $chademo->spec['origins']['max_a']['origin']], 'typed since');
        $this->postJson("/api/ocpi/imports/{$newest}/undo")->assertNotFound();

        // The rest is as it was, and the first one goes as a whole but for what was typed on.
        self::assertSame(['Sluice wharf', 920, 'Type 2, 22 kW'], [Place::query()->latest('id')->firstOrFail()->name, $this->outlet('CCS1, 350 kW')->spec['max_v'], $this->outlet('Type 2, 22 kW')->name]);
        $this->putJson("/api/pieces/outlets/{$chademo->ulid}", ['version' => $chademo->version, 'changes' => ['min_v' => null, 'max_a' => 125, 'origins' => $imported]])->assertOk();
        self::assertSame($first, $this->rows());
        $this->putJson("/api/pieces/outlets/{$chademo->ulid}", ['version' => $chademo->version + 1, 'changes' => ['min_v' => 150]])->assertOk();
        self::assertSame(['CHAdeMO', 'Sluice wharf'], $this->postJson("/api/ocpi/imports/{$oldest}/undo")->assertOk()->json('kept'));
        self::assertCount(count($empty) + 1, $this->rows());
        self::assertSame([], $this->getJson('/api/ocpi/imports')->json());
    }

    public function test_what_was_undone_can_be_brought_in_again(): void
    {
        $empty = $this->rows();
        $import = $this->upload('import', self::locations())->json('import');
        self::assertSame([], $this->postJson("/api/ocpi/imports/{$import}/undo")->assertOk()->json('kept'));
        self::assertSame($empty, $this->rows());

        $this->upload('import', self::locations())->assertOk()->assertJsonPath('counts.outlets.new', 3);
    }

    public function test_what_somebody_took_away_does_not_come_back_with_the_next_file(): void
    {
        $this->upload('import', self::locations())->assertOk();
        $this->deleteJson('/api/pieces/outlets/'.$this->outlet('CHAdeMO')->ulid)->assertNoContent();

        $this->upload('import', self::locations())->assertOk()->assertJsonPath('import', null)->assertJsonPath('counts.outlets.aside', 1);
        self::assertSame(0, Outlet::query()->where('name', 'CHAdeMO')->count());
    }

    public function test_a_word_of_the_network_is_assigned_once_and_remembered(): void
    {
        $file = self::locations();
        $file[0]['evses'][2]['connectors'][0]['standard'] = 'PANTOGRAPH';
        $file[0]['evses'][2]['status'] = 'WOBBLY';
        self::assertSame([
            ['kind' => 'standard', 'theirs' => 'PANTOGRAPH', 'ours' => null, 'times' => 1], ['kind' => 'status', 'theirs' => 'WOBBLY', 'ours' => null, 'times' => 1],
        ], $this->upload('preview', $file)->assertOk()->json('terms'));

        $terms = ['terms' => [['kind' => 'standard', 'theirs' => 'PANTOGRAPH', 'ours' => 'type2'], ['kind' => 'status', 'theirs' => 'WOBBLY', 'ours' => 'out_of_order']]];
        $preview = $this->upload('preview', $file, $terms)->assertOk();
        self::assertSame(['type2', 'out_of_order'], array_column($preview->json('terms'), 'ours'));
        self::assertSame(0, NetworkTerm::query()->count(), 'a preview remembers nothing');
        $this->upload('import', $file, $terms)->assertOk();

        self::assertSame(['type2', 'out_of_order'], array_column($this->upload('preview', $file)->assertOk()->json('terms'), 'ours'));
        self::assertSame('out of order, says its network', $this->outlet('Type 2, 22 kW')->spec['stalls'][0]['fault']);
        // Assigned otherwise, it is what changed.
        $this->upload('import', $file, ['terms' => [['kind' => 'status', 'theirs' => 'WOBBLY', 'ours' => 'works']]])->assertOk()->assertJsonPath('counts.outlets.changed', 1);
        self::assertNull($this->outlet('Type 2, 22 kW')->spec['stalls'][0]['fault']);
        self::assertSame(2, NetworkTerm::query()->count());
    }

    public function test_what_is_assigned_to_none_of_ours_is_refused_by_its_path_and_nothing_is_brought_in(): void
    {
        foreach ([
            'terms[0].ours' => ['kind' => 'standard', 'theirs' => 'X', 'ours' => 'stovepipe'],
            'terms[0].kind' => ['kind' => 'colour', 'theirs' => 'X', 'ours' => 'ccs1'],
            'terms[0].theirs' => ['kind' => 'standard', 'ours' => 'ccs1'],
        ] as $path => $term) {
            $this->upload('import', self::locations(), ['terms' => [$term]])->assertStatus(422)->assertJsonStructure(['errors' => [$path]]);
        }
        $this->upload('import', self::locations(), ['terms' => [['kind' => 'status', 'theirs' => 'X', 'ours' => 'soon']]])->assertStatus(422);
        self::assertSame([5, 0, 0], [Place::query()->count(), NetworkTerm::query()->count(), NetworkImport::query()->count()]);
    }

    public function test_a_file_that_cannot_be_read_adds_nothing(): void
    {
        $wrongVolts = [['id' => 'L', 'evses' => [['uid' => 'E', 'connectors' => [['standard' => 'CHADEMO', 'power_type' => 'DC', 'max_voltage' => 'high']]]]]];
        foreach (['{', [], ['data' => 'x'], [['evses' => 'none', 'id' => 'x']], $wrongVolts, ['text'], [['id' => str_repeat('x', 49)]]] as $content) {
            $this->upload('import', $content)->assertStatus(422)->assertJsonStructure(['message', 'errors']);
        }
        self::assertSame(5, Place::query()->count());
    }

    public function test_more_outlets_than_a_garage_holds_are_refused_before_anything_is_written(): void
    {
        $evses = array_map(static fn (int $i): array => ['uid' => "E{$i}", 'connectors' => [['id' => '1', 'standard' => 'CHADEMO', 'power_type' => 'DC', 'max_voltage' => 100 + $i % 500, 'max_amperage' => 100 + intdiv($i, 500)]]], range(0, 1999));
        $locations = array_map(static fn (int $l): array => ['id' => "L{$l}", 'name' => "Place {$l}", 'evses' => $evses], range(0, 2));

        $this->upload('import', $locations)->assertStatus(422)->assertJsonPath('errors.outlets.0', 'a garage holds no more than 5000 of them');
        self::assertSame(5, Place::query()->count());
    }

    private function outlet(string $name): Outlet
    {
        return Outlet::query()->where('name', $name)->firstOrFail();
    }

    /** @return list<array{string, string, string}> every outlet with its place and plate */
    private function rows(): array
    {
        return array_values(Outlet::inOrder()->load('place')->map(static fn (Outlet $o): array => [$o->place->name, $o->name, (string) json_encode($o->spec)])->all());
    }

    /** @return list<array<string, mixed>> */
    private static function locations(): array
    {
        $ccs = ['id' => '1', 'standard' => 'IEC_62196_T1_COMBO', 'format' => 'CABLE', 'power_type' => 'DC', 'max_voltage' => 920, 'max_amperage' => 500, 'max_electric_power' => 350000];

        return [['country_code' => 'XX', 'party_id' => 'ABC', 'id' => 'L1', 'name' => 'Sluice wharf', 'evses' => [
            ['uid' => 'E1', 'evse_id' => 'XX*ABC*E1', 'physical_reference' => '1', 'status' => 'AVAILABLE', 'connectors' => [$ccs, ['id' => '2', 'standard' => 'CHADEMO', 'format' => 'CABLE', 'power_type' => 'DC', 'max_voltage' => 500, 'max_amperage' => 125]]],
            ['uid' => 'E2', 'evse_id' => 'XX*ABC*E2', 'physical_reference' => '2', 'status' => 'OUTOFORDER', 'connectors' => [$ccs]],
            ['uid' => 'E3', 'connectors' => [['id' => '1', 'standard' => 'IEC_62196_T2', 'format' => 'SOCKET', 'power_type' => 'AC_3_PHASE', 'max_voltage' => 230, 'max_amperage' => 32, 'max_electric_power' => 22000]]],
        ]]];
    }

    /** @param  array<string, mixed>|null  $terms */
    private function upload(string $what, mixed $content, ?array $terms = null, mixed $tariffs = null): TestResponse
    {
        $text = is_string($content) ? $content : (string) json_encode($content);

        return $this->post("/api/ocpi/{$what}", [
            'file' => UploadedFile::fake()->createWithContent('locations.json', $text),
            ...($tariffs === null ? [] : ['tariffs' => UploadedFile::fake()->createWithContent('tariffs.json', (string) json_encode($tariffs))]),
            ...($terms === null ? [] : ['terms' => (string) json_encode($terms)]),
        ], ['Accept' => 'application/json']);
    }
}
