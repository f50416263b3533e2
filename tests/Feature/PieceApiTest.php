<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Vehicle;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

final class PieceApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_an_unknown_that_is_read_changes_the_board(): void
    {
        $dray = Vehicle::query()->where('name', 'Dray')->firstOrFail();
        $hub = Outlet::query()->where('name', 'Ostler, third in full')->firstOrFail();
        $fit = fn (): TestResponse => $this->postJson('/api/fit', ['vehicle' => $dray->ulid, 'outlet' => $hub->ulid]);

        $asks = collect($fit()->assertJsonPath('outcome', 'unverified')->json('gates'))->flatMap(fn (array $g): array => $g['asks'])->all();
        self::assertSame([[$dray->ulid, 'programmes', 'names']], array_map(static fn (array $a): array => [$a['piece'], $a['path'], $a['kind']], $asks));

        $response = $this->putJson("/api/pieces/vehicles/{$dray->ulid}", ['version' => $dray->version, 'spec' => ['programmes' => ['ostler']] + $dray->spec]);
        Contract::holds('PUT', '/pieces/{kind}/{piece}', $response->assertOk());
        $fit()->assertJsonPath('outcome', 'charges');
    }

    public function test_a_place_is_copied_with_its_chargers_but_without_what_only_it_has(): void
    {
        $place = Place::query()->where('name', 'Fernway junction')->firstOrFail();
        $first = $place->outlets()->firstOrFail();
        $stalls = [['label' => '1', 'evse_id' => 'XX*FER*E1', 'fault' => 'lock stuck', 'kept_for' => 'trailer']];
        $this->putJson("/api/pieces/outlets/{$first->ulid}", ['version' => $first->version, 'changes' => ['address' => '3 Yard Lane', 'known_fault' => 'screen dead', 'stalls' => $stalls]])->assertOk();

        $copied = $this->postJson("/api/places/{$place->ulid}/copy", ['name' => 'Fernway north'])->assertCreated();
        Contract::holds('POST', '/places/{place}/copy', $copied);
        $copy = Place::query()->where('ulid', $copied->json('id'))->firstOrFail();
        self::assertSame('Fernway north', $copy->name);
        self::assertSame($place->outlets()->pluck('name')->all(), $copy->outlets()->pluck('name')->all());
        [$was, $is] = [$first->refresh()->spec, $copy->outlets()->firstOrFail()->spec];
        self::assertEquals([$was['max_kw'], $was['access'], $was['tariff']], [$is['max_kw'], $is['access'], $is['tariff']]);
        self::assertSame([null, null, '1', null, null], [$is['address'] ?? null, $is['known_fault'] ?? null, $is['stalls'][0]['label'], $is['stalls'][0]['evse_id'] ?? null, $is['stalls'][0]['fault'] ?? null]);
        self::assertSame('3 Yard Lane', $was['address']);

        $this->postJson("/api/places/{$place->ulid}/copy", ['name' => ''])->assertStatus(422)->assertJsonValidationErrors('name');
        $this->postJson('/api/places/nowhere/copy', ['name' => 'x'])->assertNotFound();
        $this->deleteJson("/api/pieces/places/{$copy->ulid}")->assertNoContent();
        self::assertSame(5 * 12, count($this->getJson('/api/board')->json('cells')));
    }

    public function test_every_kind_of_piece_is_made_from_the_catalogue_removed_and_brought_back(): void
    {
        $catalogue = $this->getJson('/api/catalogue')->assertOk();
        Contract::holds('GET', '/catalogue', $catalogue);
        $place = $this->postJson('/api/pieces/places', ['name' => 'New place'])->assertCreated();
        Contract::holds('POST', '/pieces/{kind}', $place);

        foreach ($catalogue->json('chargers') as $kind) {
            $this->postJson('/api/pieces/outlets', ['name' => $kind['name'], 'place' => $place->json('id'), 'spec' => $kind['outlet']])->assertCreated();
        }
        foreach ($catalogue->json('adapters') as $number => $kind) {
            $this->postJson('/api/pieces/adapters', ['name' => $kind['name'], 'tag' => "N{$number}", 'spec' => $kind['adapter']])->assertCreated();
        }
        $this->getJson('/api/board')->assertOk()->assertJsonCount(5 * (12 + count($catalogue->json('chargers'))), 'cells');

        $id = Vehicle::query()->where('name', 'Pippin')->firstOrFail()->ulid;
        Contract::holds('DELETE', '/pieces/{kind}/{piece}', $this->deleteJson("/api/pieces/vehicles/{$id}")->assertNoContent());
        $this->getJson('/api/garage')->assertJsonCount(4, 'vehicles');
        Contract::holds('POST', '/pieces/{kind}/{piece}/restore', $this->postJson("/api/pieces/vehicles/{$id}/restore")->assertOk());
        $this->getJson('/api/garage')->assertJsonCount(5, 'vehicles');
        $this->deleteJson("/api/pieces/places/{$place->json('id')}")->assertNoContent();
        $this->getJson('/api/board')->assertJsonCount(5 * 12, 'cells');
        $this->postJson('/api/pieces/spoons', ['name' => 'x'])->assertNotFound();
    }

    public function test_two_adapters_never_get_the_same_tag(): void
    {
        $spec = ['input' => 'ccs1', 'output' => 'j3400', 'current' => 'dc'];
        $new = $this->postJson('/api/pieces/adapters', ['name' => 'New', 'tag' => 'A1', 'spec' => $spec])->assertStatus(422);
        self::assertStringContainsString(Adapter::query()->where('tag', 'A1')->firstOrFail()->name, $new->json('errors.tag.0'));

        $id = $this->postJson('/api/pieces/adapters', ['name' => 'New', 'tag' => 'Z9', 'spec' => $spec])->assertCreated()->json('id');
        $this->putJson("/api/pieces/adapters/{$id}", ['version' => 1, 'tag' => 'A1'])->assertStatus(422)->assertJsonStructure(['errors' => ['tag']]);
        $this->putJson("/api/pieces/adapters/{$id}", ['version' => 1, 'tag' => 'Z9', 'name' => 'Renamed'])->assertOk();

        Adapter::query()->where('ulid', $id)->update(['tag' => 'A1']);
        $this->putJson("/api/pieces/adapters/{$id}", ['version' => 2, 'name' => 'As imported'])->assertOk();
    }

    public function test_a_session_can_run_through_the_stations_own_adapter(): void
    {
        $kind = collect($this->getJson('/api/catalogue')->json('chargers'))->firstWhere('id', 'hub-second-attached');
        // What nobody has read of its adapter is not known; here somebody has.
        self::assertSame([], array_intersect(['certification', 'recalled', 'damaged'], array_keys($kind['outlet']['attached_adapter'])));
        $read = ['certification' => 'certified', 'recalled' => false, 'damaged' => false, 'holds_back' => true];
        $spec = ['origins' => null, 'access' => ['kind' => 'open'], 'id' => 'forged', 'name' => 'Forged', 'attached_adapter' => $read + $kind['outlet']['attached_adapter']] + $kind['outlet'];
        $outlet = $this->postJson('/api/pieces/outlets', ['name' => 'Hub with adapter', 'place' => Place::query()->firstOrFail()->ulid, 'spec' => $spec])->assertCreated()->json('id');
        $van = Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid;

        $fit = $this->postJson('/api/fit', ['vehicle' => $van, 'outlet' => $outlet, 'adapters' => []])->assertOk();
        self::assertSame([[$outlet, 'attached', "{$van}#0"], 'charges'], [$fit->json('chain'), $fit->json('outcome')]);
        $begun = $this->postJson('/api/sessions', ['vehicle' => $van, 'outlet' => $outlet, 'adapters' => ['attached']])->assertCreated();
        self::assertSame([['id' => 'attached', 'name' => "the stall's own adapter"]], $begun->json('session.adapters'));
        self::assertContains('attached', array_column($begun->json('judgement.plate_check'), 'link'));
    }

    public function test_a_plate_that_cannot_be_is_refused_by_its_field_and_the_old_one_stays(): void
    {
        $van = Vehicle::query()->where('name', 'Brindle')->firstOrFail();
        $wrong = $van->spec;
        $wrong['inlets'][0]['dc']['max_v'] = 50_000;
        foreach (['POST' => '/api/pieces/vehicles/check', 'PUT' => "/api/pieces/vehicles/{$van->ulid}"] as $method => $path) {
            $response = $this->json($method, $path, ['version' => 1, 'name' => 'Brindle', 'spec' => $wrong])->assertStatus(422);
            Contract::holds($method, $method === 'PUT' ? '/pieces/{kind}/{piece}' : '/pieces/{kind}/check', $response);
            self::assertArrayHasKey('spec.inlets[0].dc.max_v', $response->json('errors'));
        }
        foreach ([[], ['name' => 'x'], ['version' => 1, 'name' => ''], ['version' => 'x'], ['version' => 1, 'spec' => 'plate'], ['version' => 1, 'spec' => ['inlets' => []]]] as $body) {
            $this->putJson("/api/pieces/vehicles/{$van->ulid}", $body)->assertStatus(422);
        }
        $this->postJson('/api/pieces/outlets', ['name' => 'x', 'place' => 'nowhere', 'spec' => ['coupler' => 'type1', 'current' => 'ac']])->assertStatus(422)->assertJsonStructure(['errors' => ['place']]);
        Contract::holds('POST', '/pieces/{kind}/check', $this->postJson('/api/pieces/vehicles/check', ['name' => 'Brindle', 'spec' => $van->spec])->assertOk());

        self::assertSame($van->spec, $van->refresh()->spec);
    }

    public function test_a_plate_tells_what_standards_fix_of_it_and_what_contradicts_one(): void
    {
        $told = fn (array $inlet): array => array_map(array_values(...), $this->postJson('/api/pieces/vehicles/check', ['name' => 'Wren', 'spec' => ['inlets' => [$inlet]]])->assertOk()->json('by_standard'));

        self::assertSame([
            ['inlets.0.dc.signalling', 'Counts as power-line communication: IEC 61851-23 annex CC, IEC 61851-24 annex C, DIN 70121, ISO 15118.', false],
            ['inlets.0.dc.max_v', "Counts as high enough: a car's inlet is built for its own battery.", false],
            ['inlets.0.ac.min_v', 'Counts as 207 V: IEC 60038, EN 50160: 230/400 V ± 10 %.', false],
            ['inlets.0.ac.max_v', 'Counts as 253 V: IEC 60038, EN 50160: 230/400 V ± 10 %.', false],
            ['inlets.0.ac.phases', 'Counts as at least 1: IEC 62196-2.', false],
        ], $told(['coupler' => 'ccs2', 'dc' => ['max_a' => 300], 'ac' => ['max_kw' => 11]]));
        self::assertSame([['inlets.0.ac.phases', 'This contradicts SAE J1772, SAE J3400. Harmozon uses it anyway. Please check it.', true]], $told(['coupler' => 'type1', 'ac' => ['phases' => 3, 'min_v' => 100, 'max_v' => 250]]));
        self::assertSame([], $this->postJson('/api/pieces/tours/check', ['name' => 'North', 'spec' => ['places' => [], 'vehicles' => []]])->assertOk()->json('by_standard'));
        $post = $this->postJson('/api/pieces/outlets/check', ['name' => 'Post', 'place' => Place::query()->firstOrFail()->ulid, 'spec' => ['coupler' => 'type1', 'current' => 'ac', 'supply' => ['volts' => 240]]])->assertOk();
        self::assertSame(['signalling', 'supply.phases'], $post->json('by_standard.*.path'));
    }
}
