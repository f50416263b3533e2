<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Chain;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\ChargeWanted;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\EarlierUse;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\PackOnArrival;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Chain\UsualNeed;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What holds while nobody says otherwise, and what a chain knows of itself. */
final class ConditionsTest extends TestCase
{
    public function test_what_is_taken_to_hold_while_nothing_is_said(): void
    {
        $plain = new Conditions;
        self::assertSame([10.0, 80.0, null, null, true, false, [], 1.0, 0.0, 0.0, null], [
            $plain->charge->socFrom, $plain->charge->socTo, $plain->ambientC, $plain->pack->packC, $plain->pack->prepared, $plain->visit->member,
            $plain->earlierUse->theta, $plain->earlierUse->ratingLeft, $plain->earlierUse->restedMinutes, $plain->visit->idleMinutes, $plain->visit->nextStopKw,
        ]);
        self::assertSame([false, null, null], [$plain->faults->coolingFailed, $plain->faults->deratedKw, $plain->faults->neighbourAtMinute]);
        self::assertSame([0.0, 0.4], [$plain->earlierUse->thetaOf('cable'), (new EarlierUse(['cable' => 0.4]))->thetaOf('cable')]);

        $usual = UsualNeed::conditions();
        self::assertSame([10.0, 80.0, 20.0, 20.0, true, 30.0], [$usual->charge->socFrom, $usual->charge->socTo, $usual->ambientC, $usual->pack->packC, $usual->pack->prepared, $usual->earlierUse->restedMinutes]);
        self::assertSame([10.0, 60.0, 100.0], [UsualNeed::NEIGHBOUR_AT_MINUTE, UsualNeed::DERATED_KW, UsualNeed::NEXT_STOP_KW]);
    }

    public function test_a_pack_is_as_warm_as_it_was_made_read_or_left(): void
    {
        $at = static fn (bool $prepared, ?float $pack, ?float $ambient): ?float => (new Conditions(ambientC: $ambient, pack: new PackOnArrival($pack, $prepared)))->packTemperatureC();

        self::assertSame([25.0, -5.0, -10.0, null], [$at(true, -5.0, -10.0), $at(false, -5.0, -10.0), $at(false, null, -10.0), $at(false, null, null)]);
        self::assertSame(25.0, (new Conditions(pack: new PackOnArrival(-5.0, false)))->prepared()->packTemperatureC());
    }

    public function test_whoever_arrives_later_leaves_no_earlier(): void
    {
        $conditions = new Conditions(new ChargeWanted(10.0, 60.0));

        self::assertSame([[20.0, 60.0], [70.0, 70.0], [10.0, 90.0]], array_map(
            static fn (Conditions $c): array => [$c->charge->socFrom, $c->charge->socTo], [$conditions->arriving(20.0), $conditions->arriving(70.0), $conditions->upTo(90.0)],
        ));
    }

    /** @param  array<string, mixed>  $car */
    #[DataProvider('phases')]
    public function test_phases_that_both_have(array $car, array $outlet, array $post, int $phases): void
    {
        $case = Cases::read(Cases::file(car: $car, outlet: $outlet, post: $post));

        self::assertSame($phases, (new Chain($case->outlet, [], $case->vehicle, 0))->phases());
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, array<string, mixed>, int}> */
    public static function phases(): iterable
    {
        yield 'DC has one' => [['inlets.0.ac.phases' => 3], ['supply' => ['volts' => 230, 'amps' => 32, 'phases' => 3]], Cases::DC_POST, 1];
        yield 'three and three' => [['inlets.0.ac.phases' => 3], ['supply.phases' => 3], Cases::AC_POST, 3];
        yield 'three meet one' => [['inlets.0.ac.phases' => 1], ['supply.phases' => 3], Cases::AC_POST, 1];
        yield 'two meet three' => [['inlets.0.ac.phases' => 3], ['supply.phases' => 2], Cases::AC_POST, 2];
        yield 'unread counts as one' => [['inlets.0.ac.phases' => 3], ['supply.phases' => null], Cases::AC_POST, 1];
        yield 'the other way' => [['inlets.0.ac.phases' => null], ['supply.phases' => 3], Cases::AC_POST, 1];
    }

    public function test_the_names_of_a_chain_stand_in_its_order(): void
    {
        $case = Cases::read(Cases::file(adapters: [['id' => 'x', 'name' => 'Long one'], ['id' => 'y', 'name' => 'Short one']]));
        $chain = new Chain($case->outlet, $case->adapters, $case->vehicle, 0);

        self::assertSame([['x', 'y'], ['Long one', 'Short one'], ['post', 'x', 'y', 'car#0']], [$chain->adapterIds(), $chain->adapterNames(), $chain->linkIds()]);
    }

    public function test_one_unread_fact_says_where_to_look_and_several_say_it_of_each(): void
    {
        $case = Cases::read(Cases::file());
        $chain = new Chain($case->outlet, [], $case->vehicle, 0);
        [$ceiling, $pack] = [UnreadFact::of(Fact::StationMaxV, $chain), UnreadFact::of(Fact::PackV, $chain)];

        self::assertSame(['unread.check', 'unread.checks'], [UnreadFact::places([$ceiling])->code, UnreadFact::places([$ceiling, $pack])->code]);
        foreach ([$ceiling, $pack] as $unread) {
            self::assertStringContainsStringIgnoringCase(Say::it($unread->fact()), Say::it(UnreadFact::places([$ceiling, $pack])));
            self::assertStringContainsStringIgnoringCase(Say::it($unread->where()), Say::it(UnreadFact::places([$unread])));
        }
    }
}
