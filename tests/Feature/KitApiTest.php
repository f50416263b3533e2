<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Tour;
use App\Models\Vehicle;
use App\Models\Wish;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What to buy, an adapter looked at before it is bought, and its first test. */
final class KitApiTest extends TestCase
{
    use StartsFromSeed;

    private const ANSWERS = [
        'label_names_both' => 'yes', 'plate_said' => 'yes', 'certified_mark' => 'yes', 'maker_accepts' => 'yes', 'lever_blocked' => 'yes',
        'heat_cut_off' => 'yes', 'order_given' => 'yes', 'recall_looked_at' => 'yes', 'seller_answers' => 'yes', 'sold_for' => 'dc',
    ];

    private const ACTIVE = [
        'input' => 'ccs1', 'output' => 'chademo', 'current' => 'dc', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']],
        'plate' => ['max_v' => 500, 'continuous_a' => 125], 'vetting' => self::ANSWERS,
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    /** Pippin reaches the three CCS1 posts of Fernway through an active adapter; the one in the crate has a flat battery. */
    public function test_the_smallest_kit_of_the_garage(): void
    {
        $kit = $this->getJson('/api/kit')->assertOk();
        Contract::holds('GET', '/kit', $kit);

        self::assertSame([60, true], [$kit->json('pairs'), $kit->json('exact')]);
        self::assertSame($this->charging(), $kit->json('covered_now'));
        self::assertSame(['Pippin'], array_unique(array_map(self::car(...), $kit->json('purchases.0.newly.*.vehicle'))));
        self::assertSame(3, $kit->json('purchases.0.covered') - $kit->json('covered_now'));
        $flat = Adapter::query()->where('tag', 'A6')->firstOrFail()->ulid;
        self::assertSame([$flat], $kit->json('purchases.0.charge_instead'));
        self::assertSame([$flat], $kit->json('charge.*.adapter'));
        self::assertContains($kit->json('weakest_place'), Place::query()->pluck('ulid')->all());
    }

    public function test_a_kit_follows_its_tour_and_its_cars(): void
    {
        $tour = Tour::query()->firstOrFail();
        $kit = $this->getJson("/api/kit?tour={$tour->ulid}")->assertOk();
        Contract::holds('GET', '/kit', $kit);
        $stops = Outlet::query()->whereIn('place_id', Place::query()->whereIn('ulid', $tour->places())->pluck('id'))->count();
        self::assertSame($stops * count($tour->vehicles()), $kit->json('pairs'));
        $this->getJson('/api/kit?tour=nobody')->assertStatus(422)->assertJsonStructure(['errors' => ['tour']]);
        $this->getJson('/api/kit?policy=none')->assertStatus(422);
        $cars = Vehicle::query()->pluck('ulid')->all();
        $together = $this->getJson('/api/kit?'.http_build_query(['together' => $cars]))->assertOk();
        self::assertLessThanOrEqual($this->getJson('/api/kit')->json('covered_now'), $together->json('covered_now'));
    }

    public function test_a_garage_without_a_car_or_a_charger_says_what_is_missing(): void
    {
        Outlet::query()->delete();
        self::assertSame(['outlets'], array_keys($this->getJson('/api/kit')->assertStatus(422)->json('errors')));
        Vehicle::query()->delete();
        self::assertSame(['vehicles'], array_keys($this->getJson('/api/kit')->assertStatus(422)->json('errors')));
        self::assertSame(['vehicles'], array_keys($this->postJson('/api/vetting', ['spec' => self::ACTIVE])->assertStatus(422)->json('errors')));
    }

    public function test_an_adapter_is_looked_at_before_it_is_bought(): void
    {
        $asked = $this->getJson('/api/vetting')->assertOk();
        Contract::holds('GET', '/vetting', $asked);
        self::assertSame(array_keys(array_diff_key(self::ANSWERS, ['sold_for' => true])), $asked->json('questions.*.code'));

        $vetting = $this->postJson('/api/vetting', ['name' => 'In my hand', 'spec' => self::ACTIVE])->assertOk();
        Contract::holds('POST', '/vetting', $vetting);
        self::assertSame(['use_it', []], [$vetting->json('verdict'), $vetting->json('reasons')]);
        self::assertSame([45.0, 45.0, 45.0], array_map(floatval(...), $vetting->json('adds.*.expected_peak_kw')));
        self::assertSame(['Pippin'], array_unique(array_map(self::car(...), $vetting->json('adds.*.vehicle'))));

        $wrong = $this->postJson('/api/vetting', ['spec' => [...self::ACTIVE, 'input' => 'type1', 'output' => 'j3400', 'current' => 'ac', 'translates' => null]])->assertOk();
        self::assertSame(['leave_it', 'sold_for', true], [$wrong->json('verdict'), $wrong->json('reasons.0.code'), $wrong->json('reasons.0.decisive')]);
        self::assertSame(0, Wish::query()->count(), 'looking stores nothing');
    }

    public function test_what_cannot_be_read_is_named(): void
    {
        foreach ([['spec', []], ['spec.input', ['spec' => ['output' => 'ccs1']]], ['spec.vetting.smell', ['spec' => [...self::ACTIVE, 'vetting' => ['smell' => 'yes']]]], ['spec.plate.max_v', ['spec' => [...self::ACTIVE, 'plate' => ['max_v' => -1]]]]] as [$field, $body]) {
            self::assertSame([$field], array_keys($this->postJson('/api/vetting', $body)->assertStatus(422)->json('errors')));
        }
    }

    public function test_a_wish_is_kept_with_its_answers_and_counts_as_a_candidate(): void
    {
        $wish = $this->postJson('/api/pieces/wishes', ['name' => 'Gudgeon G-7', 'spec' => [...self::ACTIVE, 'price' => '620.00']])->assertCreated()->json('id');
        $garage = $this->getJson('/api/garage')->assertOk();
        Contract::holds('GET', '/garage', $garage);
        self::assertSame([$wish, self::ANSWERS], [$garage->json('wishes.0.id'), $garage->json('wishes.0.spec.vetting')]);
        $purchase = $this->getJson('/api/kit')->json('purchases.0');
        self::assertSame([[$wish], '620.00', false], [$purchase['buy'], $purchase['price']['amount'], $purchase['price']['at_least']]);
        $this->postJson('/api/pieces/wishes', ['name' => 'Wrong', 'spec' => [...self::ACTIVE, 'vetting' => ['plate_said' => 'perhaps']]])->assertStatus(422)->assertJsonStructure(['errors' => ['spec.vetting.plate_said']]);
        $this->deleteJson("/api/pieces/wishes/{$wish}")->assertNoContent();
        self::assertContains('wishes', $this->getJson('/api/put-aside')->json('items.*.kind'));
    }

    public function test_a_bought_wish_is_an_adapter_with_its_plate_and_what_its_answers_say(): void
    {
        $wish = $this->postJson('/api/pieces/wishes', ['name' => 'Gudgeon G-7', 'blurb' => 'Seen at the fair', 'spec' => [...self::ACTIVE, 'price' => '620.00']])->assertCreated()->json('id');
        $promised = $this->getJson('/api/kit')->json('purchases.0.covered');

        $this->postJson("/api/wishes/{$wish}/buy", ['tag' => ''])->assertStatus(422)->assertJsonStructure(['errors' => ['tag']]);
        $this->postJson("/api/wishes/{$wish}/buy", ['tag' => 'A1'])->assertStatus(422)->assertJsonStructure(['errors' => ['tag']]);
        self::assertSame([$wish], $this->getJson('/api/garage')->json('wishes.*.id'), 'a refused purchase leaves the wish');

        $bought = $this->postJson("/api/wishes/{$wish}/buy", ['tag' => 'A77'])->assertCreated();
        Contract::holds('POST', '/wishes/{wish}/buy', $bought);
        $adapter = Adapter::query()->where('tag', 'A77')->firstOrFail();
        self::assertSame([$bought->json('id'), 'Gudgeon G-7', 'Seen at the fair'], [$adapter->ulid, $adapter->name, $adapter->blurb]);
        self::assertSame(['certified', true, false], [$adapter->spec['certification'], $adapter->spec['maker_approved'], $adapter->spec['recalled']]);
        self::assertSame([self::ACTIVE['plate'], self::ANSWERS], [$adapter->spec['plate'], $adapter->spec['vetting']]);
        self::assertSame([], $this->getJson('/api/garage')->json('wishes'));
        $adapter->update(['spec' => [...$adapter->spec, 'damaged' => false, 'battery_ok' => true]]);
        self::assertSame($promised, $this->getJson('/api/kit')->json('covered_now'), 'once somebody has looked at its condition and charged its battery');
        $this->postJson("/api/wishes/{$wish}/buy", ['tag' => 'A78'])->assertNotFound();
    }

    public function test_a_wish_known_to_be_uncertified_is_never_the_next_thing_to_buy(): void
    {
        $wish = $this->postJson('/api/pieces/wishes', ['name' => 'Gudgeon G-7', 'spec' => [...self::ACTIVE, 'vetting' => [...self::ANSWERS, 'certified_mark' => 'no']]])->assertCreated()->json('id');
        self::assertNotContains($wish, array_merge(...$this->getJson('/api/kit')->json('purchases.*.buy')));
        self::assertContains($wish, array_merge(...$this->getJson('/api/kit?policy=any')->json('purchases.*.buy')));
    }

    public function test_a_pair_that_never_charges_tells_what_would_change_it(): void
    {
        $kit = $this->getJson('/api/kit')->assertOk();
        Contract::holds('GET', '/kit', $kit);
        $never = $kit->json('never');
        self::assertNotSame([], array_merge(...array_column($never, 'changes')));
        foreach ($never as $pair) {
            $board = $this->postJson('/api/fit', ['outlet' => $pair['outlet'], 'vehicle' => $pair['vehicle']])->assertOk();
            self::assertSame([], array_diff($pair['changes'], $board->json('changes.*.change')), 'the same changes as the board names');
        }
    }

    /** A3 is rated 300 A; the most that any car and charger here send through it for ten minutes is all of it. */
    public function test_a_first_test_goes_from_gentle_to_the_rating(): void
    {
        $test = $this->getJson('/api/adapters/'.Adapter::query()->where('tag', 'A3')->firstOrFail()->ulid.'/first-test')->assertOk();
        Contract::holds('GET', '/adapters/{adapter}/first-test', $test);
        $shares = $test->json('stages.*.share');
        self::assertNotSame([], $shares);
        $sorted = $shares;
        sort($sorted);
        self::assertSame($sorted, $shares);
        self::assertEqualsWithDelta(min(1, end($shares)), $test->json('most'), 1e-4);
        $this->getJson('/api/adapters/nobody/first-test')->assertNotFound();
    }

    public function test_a_packing_list_names_places_and_who_has_a_piece(): void
    {
        $a1 = Adapter::query()->where('tag', 'A1')->firstOrFail();
        $a1->update(['spec' => [...$a1->spec, 'lent_to' => 'Ida']]);
        $pack = $this->getJson('/api/tours/'.Tour::query()->firstOrFail()->ulid.'/pack')->assertOk();
        Contract::holds('GET', '/tours/{tour}/pack', $pack);

        $packed = collect($pack->json('pieces'))->keyBy('adapter');
        self::assertSame(['Ida', false], [$packed[$a1->ulid]['lent_to'], $packed[$a1->ulid]['charge']]);
        self::assertSame(['Fernway junction'], Place::query()->whereIn('ulid', $packed[$a1->ulid]['places'])->pluck('name')->all());
        self::assertSame(['Fernway'], $pack->json('networks.*.name'));
    }

    private static function car(string $id): string
    {
        return Vehicle::query()->where('ulid', $id)->firstOrFail()->name;
    }

    /** Pairs that charge on the board. */
    private function charging(): int
    {
        return count(array_filter($this->getJson('/api/board?kit=own&policy=certified')->json('cells'), static fn (array $c): bool => in_array($c['outcome'], ['charges', 'limited'], true)));
    }
}
