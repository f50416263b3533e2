<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Kit\FreeKit;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\PairTable;
use Harmozon\Core\Kit\Purchase;
use Harmozon\Core\Kit\SmallestKit;
use Harmozon\Core\Kit\Travel;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SmallestKitTest extends TestCase
{
    /** @return iterable<string, array{int, int, bool}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 60) as $seed) {
            yield "seed {$seed}" => [$seed, 2 + $seed % 8, $seed % 3 === 0];
        }
    }

    #[DataProvider('seeds')]
    public function test_every_purchase_is_the_best_of_its_size(int $seed, int $candidates, bool $isTour): void
    {
        $question = Garages::seeded($seed, $candidates, isTour: $isTour);
        $brute = new BruteForce($question);
        $kit = SmallestKit::of($question);

        self::assertTrue($kit->isExact);
        self::assertSame($brute->worth($question->owned), [$kit->now->covered, $kit->now->second, $kit->now->kw]);
        $before = $brute->worth($question->owned);
        foreach ($kit->purchases as $number => $purchase) {
            $best = $brute->best($number + 1);
            self::assertSame(array_slice($best, 0, 3), [$purchase->worth->covered, $purchase->worth->second, $purchase->worth->kw]);
            self::assertSame(-(float) $purchase->price->amount(), (float) $best[4]);
            self::assertSame($best[3] < 0, $purchase->price->isAtLeast());
            self::assertSame(array_slice($best, 0, 3), $brute->worth([...$question->owned, ...$purchase->buy]), 'what it says it buys reaches as much');
            self::assertGreaterThan($before, array_slice($best, 0, 3));
            $before = array_slice($best, 0, 3);
        }
        $next = $brute->best(count($kit->purchases) + 1);
        self::assertTrue($next === [] || array_slice($next, 0, 3) <= $before, 'nothing more is gained after the last step');
    }

    #[DataProvider('seeds')]
    public function test_a_refused_piece_is_never_bought_and_one_more_candidate_worsens_no_step(int $seed, int $candidates, bool $isTour): void
    {
        $question = Garages::seeded($seed, $candidates + 1, isTour: $isTour);
        $fewer = SmallestKit::of(Garages::seeded($seed, $candidates, isTour: $isTour));
        $more = SmallestKit::of($question);

        self::assertGreaterThanOrEqual(count($fewer->purchases) > 0 ? 1 : 0, count($more->purchases));
        foreach ($more->purchases as $purchase) {
            foreach ($purchase->buy as $piece) {
                self::assertNotTrue($piece->trust->recalled);
                self::assertNotNull($piece->trust->certification);
            }
        }
        foreach ($fewer->purchases as $number => $purchase) {
            $with = $more->purchases[$number] ?? $more->purchases[count($more->purchases) - 1];
            self::assertGreaterThanOrEqual(0, $with->worth->compare($purchase->worth));
        }
    }

    /**
     * Ten cars with five inlets, half of them above 500 V, at five posts: forty kinds of adapter, of which half are cheap
     * and end at 500 V. That is more than are searched exactly.
     */
    public function test_a_greedy_purchase_stays_within_its_bound_and_reaches_what_it_says(): void
    {
        $shapes = ['ccs1', 'ccs2', 'j3400', 'chademo', 'gbt_dc'];
        $cars = $kinds = [];
        foreach ($shapes as $to) {
            $cars = [...$cars, ['id' => "low {$to}", 'inlets.0.coupler' => $to], ['id' => "high {$to}", 'inlets.0.coupler' => $to, ...Cases::HIGH_VOLTAGE]];
            foreach (array_diff($shapes, [$to]) as $from) {
                $kind = ['input' => $from, 'output' => $to];
                $kinds = [...$kinds, ['id' => "{$from}-{$to}", 'price' => '100', ...$kind], ['id' => "{$from}-{$to} 500 V", 'price' => '40', 'plate.max_v' => 500, ...$kind]];
            }
        }
        $question = Garages::question($cars, array_map(static fn (string $s): array => ['id' => $s, 'coupler' => $s, 'place' => 'p1'], $shapes), [], $kinds);
        $kit = SmallestKit::of($question, 6);
        $brute = new BruteForce($question);

        self::assertFalse($kit->isExact);
        self::assertSame(10, $kit->now->covered);
        // Each piece adds a low and a high car at one post: two pairs a piece, and no purchase can do better.
        self::assertSame([12, 14, 16, 18, 20, 22], array_map(static fn (Purchase $p): int => $p->worth->covered, $kit->purchases));
        self::assertSame([12, 14, 16, 18, 20, 22], array_map(static fn (Purchase $p): ?int => $p->coveredAtMost, $kit->purchases));
        foreach ($kit->purchases as $purchase) {
            self::assertSame([$purchase->worth->covered, $purchase->worth->second], array_slice($brute->worth($purchase->buy), 0, 2));
        }
        self::assertSame($brute->best(2)[0], $kit->purchases[1]->worth->covered);
    }

    /**
     * Two cars with J3400 inlets, two CCS1 stalls at one place and a CCS1 post elsewhere. One adapter reaches all six
     * pairs; four of them have a second way.
     */
    public function test_one_adapter_for_two_cars_that_travel_one_at_a_time(): void
    {
        $kit = SmallestKit::of(self::twoCars());

        self::assertSame([0, 0], [$kit->now->covered, $kit->now->second]);
        self::assertCount(1, $kit->purchases);
        self::assertSame(['k1'], self::bought($kit->purchases[0]));
        self::assertSame([6, 4], [$kit->purchases[0]->worth->covered, $kit->purchases[0]->worth->second]);
        self::assertSame(['180.00', false], [$kit->purchases[0]->price->amount(), $kit->purchases[0]->price->isAtLeast()]);
        self::assertCount(6, $kit->purchases[0]->newly);
    }

    /** The same cars at once: one adapter serves one of them at a place, so the second car needs another. */
    public function test_cars_that_travel_at_once_need_an_adapter_each(): void
    {
        $kit = SmallestKit::of(self::twoCars(['v1', 'v2']));

        self::assertSame([3, 6], array_map(static fn (Purchase $p): int => $p->worth->covered, $kit->purchases));
        self::assertSame(['k1', 'k1'], self::bought($kit->purchases[1]));
        self::assertSame('360.00', $kit->purchases[1]->price->amount());
        self::assertSame([2, 4], array_map(static fn (Purchase $p): int => $p->worth->second, $kit->purchases));
        self::assertSame([3, 6], array_map(static fn (Purchase $p): int => count($p->newly), $kit->purchases));
    }

    /** @return iterable<string, array{int, int}> */
    public static function shared(): iterable
    {
        foreach (range(1, 24) as $seed) {
            yield "seed {$seed}" => [$seed, 1 + $seed % 3];
        }
    }

    #[DataProvider('shared')]
    public function test_what_cars_that_travel_at_once_buy_is_the_best_however_it_is_given_out(int $seed, int $candidates): void
    {
        $alone = Garages::seeded($seed, $candidates);
        $cars = array_slice($alone->vehicles, 0, 3);
        $question = new KitQuestion($cars, $alone->outlets, $alone->owned, $alone->candidates, $alone->policy, $alone->conditions, new Travel(array_map(static fn (Vehicle $v): string => $v->id, $cars)));
        $brute = new SharedBruteForce($question);
        $kit = SmallestKit::of($question, 2);

        self::assertTrue($kit->isExact);
        $worth = [$kit->now->covered, $kit->now->second, $kit->now->kw];
        self::assertSame($brute->worth($question->owned), $worth);
        foreach (range(1, 2) as $count) {
            $purchase = $kit->purchases[$count - 1] ?? null;
            $worth = $purchase === null ? $worth : [$purchase->worth->covered, $purchase->worth->second, $purchase->worth->kw];
            self::assertSame($brute->best($count), $worth);
        }
    }

    /** At one place the only adapter goes to the car that charges at both posts with it; the other may use only one. */
    public function test_a_shared_adapter_goes_to_the_car_that_gains_most(): void
    {
        $question = static fn (string ...$order): KitQuestion => Garages::question(
            array_map(static fn (string $id): array => ['id' => $id, 'inlets.0.coupler' => 'j3400', 'programmes' => $id === 'member' ? ['ostler'] : []], $order),
            [['id' => 'o1', 'place' => 'p1'], ['id' => 'o2', 'place' => 'p1', 'access' => ['kind' => 'makes', 'makes' => ['ostler']]]],
            [['id' => 'a1', 'input' => 'ccs1', 'output' => 'j3400']],
            [],
            ['member', 'guest'],
        );

        self::assertSame(2, SmallestKit::of($question('member', 'guest'))->now->covered);
        self::assertSame(2, SmallestKit::of($question('guest', 'member'))->now->covered);
        self::assertSame(2, SmallestKit::of($question('guest', 'member'))->now->second);
    }

    /** Thirteen adapters for two cars can be given out in 8,192 ways, more than are tried: each goes where it is worth most. */
    public function test_many_shared_adapters_still_serve_both_cars(): void
    {
        $kit = SmallestKit::of(Garages::question(
            [['id' => 'v1', 'inlets.0.coupler' => 'j3400'], ['id' => 'v2', 'inlets.0.coupler' => 'j3400']],
            [['id' => 'o1', 'place' => 'p1'], ['id' => 'o2', 'place' => 'p1']],
            array_map(static fn (int $n): array => ['id' => "a{$n}", 'input' => 'ccs1', 'output' => 'j3400'], range(1, 13)),
            [],
            ['v1', 'v2'],
        ));

        self::assertSame([4, 4, 600.0], [$kit->now->covered, $kit->now->second, $kit->now->kw]);
        self::assertFalse($kit->isExact);
    }

    public function test_another_stop_of_a_tour_is_a_second_way_for_a_place_with_one_outlet(): void
    {
        $kit = SmallestKit::of(self::twoCars(isTour: true));

        self::assertSame(6, $kit->purchases[0]->worth->second);
    }

    /**
     * One CCS1 post; cars with one or two inlets each. CHAdeMO reaches four cars, J3400 and GB/T three each, but not the
     * same ones: taking the largest first reaches five with two adapters, the best two reach all six.
     */
    public function test_the_best_two_are_not_the_best_one_and_another(): void
    {
        $kit = SmallestKit::of(self::overlapping());

        self::assertSame([['k-chademo'], ['k-j3400', 'k-gbt_dc']], array_map(self::bought(...), $kit->purchases));
        self::assertSame([4, 6], array_map(static fn (Purchase $p): int => $p->worth->covered, $kit->purchases));
    }

    public function test_a_piece_adds_only_what_no_other_one_reaches(): void
    {
        $free = FreeKit::owned(PairTable::of(self::overlapping()), false);
        [$j3400, $chademo] = [0, 1];

        self::assertSame([3, 4], [$free->gain($j3400), $free->gain($chademo)]);
        self::assertSame([4, 1, 5], [$free->plus($chademo)->covered, $free->plus($chademo)->gain($j3400), $free->plus($chademo)->plus($j3400)->covered]);
        self::assertSame(450.0, $free->plus($j3400)->worth()->kw);
    }

    public function test_of_two_that_do_the_same_for_the_same_money_the_first_is_bought(): void
    {
        $twice = ['input' => 'ccs1', 'output' => 'j3400', 'price' => '180.00'];
        $question = static fn (?string $second): KitQuestion => Garages::question([['id' => 'v1', 'inlets.0.coupler' => 'j3400']], [['id' => 'o1']], [], [['id' => 'k1', ...$twice], ['id' => 'k2', ...$twice, 'price' => $second]]);

        self::assertSame(['k1'], self::bought(SmallestKit::of($question('180.00'))->purchases[0]));
        self::assertSame(['k2'], self::bought(SmallestKit::of($question('179.00'))->purchases[0]));
        self::assertSame(['k1'], self::bought(SmallestKit::of($question(null))->purchases[0]), 'a known price goes before one that nobody knows');
    }

    /** Thirty of one kind at different prices are one candidate: the cheapest. */
    public function test_what_another_one_replaces_for_less_money_is_dropped_before_the_search(): void
    {
        $kit = SmallestKit::of(Garages::question(
            [['id' => 'v1', 'inlets.0.coupler' => 'j3400']],
            [['id' => 'o1']],
            [],
            array_map(static fn (int $n): array => ['id' => "k{$n}", 'input' => 'ccs1', 'output' => 'j3400', 'price' => (string) (200 - $n)], range(1, 30)),
        ));

        self::assertTrue($kit->isExact);
        self::assertSame([['k30']], array_map(self::bought(...), $kit->purchases));
    }

    /** One is owned: the second car still needs another of the same kind. */
    public function test_a_second_piece_of_an_owned_kind_serves_the_second_car(): void
    {
        $question = Garages::question(
            [['id' => 'v1', 'inlets.0.coupler' => 'j3400'], ['id' => 'v2', 'inlets.0.coupler' => 'j3400']],
            [['id' => 'o1', 'place' => 'p1'], ['id' => 'o2', 'place' => 'p1']],
            [['id' => 'a1', 'input' => 'ccs1', 'output' => 'j3400']],
            [['id' => 'k1', 'input' => 'ccs1', 'output' => 'j3400']],
            ['v1', 'v2'],
        );
        $kit = SmallestKit::of($question);

        self::assertSame([2, [4]], [$kit->now->covered, array_map(static fn (Purchase $p): int => $p->worth->covered, $kit->purchases)]);
        self::assertSame([], SmallestKit::of($question->withPieces($question->owned))->purchases);
    }

    public function test_two_stops_with_one_outlet_each_are_a_second_way_for_each_other(): void
    {
        $question = Garages::question([['id' => 'v1']], [['id' => 'o1', 'place' => 'p1'], ['id' => 'o2', 'place' => 'p2']], [], [], isTour: true);

        self::assertSame([2, 2], [SmallestKit::of($question)->now->covered, SmallestKit::of($question)->now->second]);
        self::assertSame(0, SmallestKit::of(Garages::question([['id' => 'v1']], [['id' => 'o1', 'place' => 'p1'], ['id' => 'o2', 'place' => 'p2']], [], []))->now->second);
    }

    /** A recalled adapter is no reason while a sound one wouldn't charge either: the protocols differ. */
    public function test_why_a_pair_never_charges_is_not_blamed_on_a_recalled_piece(): void
    {
        $kit = SmallestKit::of(Garages::question([['id' => 'v1']], [['id' => 'o1', 'coupler' => 'j3400', 'signalling' => ['can_legacy']]], [['id' => 'a1', 'recalled' => true]], [['id' => 'k1']]));

        self::assertSame('signalling', $kit->never()[0]->never?->deciding()?->gate->value);
    }

    public function test_a_price_that_nobody_knows_makes_at_least(): void
    {
        $question = self::twoCars();
        $kit = SmallestKit::of(Garages::question([['id' => 'v1', 'inlets.0.coupler' => 'j3400']], [['id' => 'o1']], [], [['id' => 'k1', 'input' => 'ccs1', 'output' => 'j3400', 'price' => null]]));

        self::assertSame(['0.00', true], [$kit->purchases[0]->price->amount(), $kit->purchases[0]->price->isAtLeast()]);
        self::assertFalse(SmallestKit::of($question)->purchases[0]->price->isAtLeast());
    }

    public function test_pieces_that_nobody_needs_and_pairs_that_never_charge_are_named(): void
    {
        $kit = SmallestKit::of(Garages::question(
            [['id' => 'v1']],
            [['id' => 'o1'], ['id' => 'o2', 'coupler' => 'chademo', 'signalling' => ['can_chademo']], ['id' => 'o3', 'coupler' => 'j3400', 'access.kind' => null]],
            [['id' => 'a1'], ['id' => 'a2', 'input' => 'type1', 'output' => 'j3400']],
            [['id' => 'k1', 'input' => 'chademo', 'output' => 'ccs1']],
        ));

        self::assertSame(['a2'], array_map(static fn (Adapter $a): string => $a->id, $kit->notNeeded));
        self::assertSame(['o2'], array_map(static fn ($p): string => $p->at->outlet->id, $kit->never()), 'a passive adapter translates nothing');
        self::assertSame(['o3'], array_map(static fn ($p): string => $p->at->outlet->id, $kit->open()));
        self::assertSame([], $kit->purchases);
    }

    public function test_charging_an_active_adapter_comes_before_buying_another(): void
    {
        $active = ['input' => 'ccs1', 'output' => 'chademo', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']]];
        $kit = SmallestKit::of(Garages::question(
            [['id' => 'v1', 'inlets.0.coupler' => 'chademo', 'inlets.0.dc.signalling' => ['can_chademo']]],
            [['id' => 'o1']],
            [['id' => 'a6', 'battery_ok' => false, ...$active]],
            [['id' => 'k1', 'battery_ok' => true, ...$active]],
        ));

        self::assertSame('a6', $kit->charged[0]->adapter->id);
        self::assertTrue($kit->charged[0]->doesAllOf($kit->purchases[0]));
    }

    public function test_no_candidates_and_nothing_owned_is_an_answer_too(): void
    {
        $kit = SmallestKit::of(Garages::question([['id' => 'v1']], [['id' => 'o1']], [], []));

        self::assertSame([1, []], [$kit->now->covered, $kit->purchases]);
    }

    /** @param  list<string>  $together */
    private static function twoCars(array $together = [], bool $isTour = false): KitQuestion
    {
        return Garages::question(
            [['id' => 'v1', 'inlets.0.coupler' => 'j3400'], ['id' => 'v2', 'inlets.0.coupler' => 'j3400']],
            [['id' => 'o1', 'place' => 'p1'], ['id' => 'o2', 'place' => 'p1'], ['id' => 'o3', 'place' => 'p2']],
            [],
            [['id' => 'k1', 'input' => 'ccs1', 'output' => 'j3400', 'price' => '180.00'], ['id' => 'k2', 'input' => 'ccs1', 'output' => 'j3400', 'price' => '195.00', 'plate.continuous_a' => 200, 'plate.boost_a' => null, 'plate.boost_minutes' => null]],
            $together,
            $isTour,
        );
    }

    /** @return list<string> */
    private static function bought(Purchase $purchase): array
    {
        return array_map(static fn (Adapter $a): string => $a->id, $purchase->buy);
    }

    private static function overlapping(): KitQuestion
    {
        $dc = static fn (string ...$couplers): array => ['inlets' => array_map(static fn (string $c): array => ['coupler' => $c, 'dc' => ['signalling' => ['plc'], 'max_v' => 500, 'max_a' => 500, 'max_kw' => 150]], $couplers)];

        return Garages::question(
            [
                ['id' => 'v1', ...$dc('j3400')], ['id' => 'v2', ...$dc('j3400', 'chademo')], ['id' => 'v3', ...$dc('j3400', 'chademo')],
                ['id' => 'v4', ...$dc('chademo', 'gbt_dc')], ['id' => 'v5', ...$dc('chademo', 'gbt_dc')], ['id' => 'v6', ...$dc('gbt_dc')],
            ],
            [['id' => 'o1']],
            [],
            array_map(static fn (string $c): array => ['id' => "k-{$c}", 'input' => 'ccs1', 'output' => $c, 'price' => '100'], ['j3400', 'chademo', 'gbt_dc']),
        );
    }
}
