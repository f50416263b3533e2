<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Chain;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The volts at the plug: every way a car has to meet a station, at each end of its window, and whatever is unread. */
final class VoltagePlannerTest extends TestCase
{
    /** Steps 400 V up. */
    private const CONVERTER = ['inlets.0.dc.boost_converter' => ['max_kw' => 90, 'max_input_a' => 250, 'input_v' => 400, 'efficiency' => 0.92]];

    private const SPLITS = ['inlets.0.dc.split_pack' => true];

    private const MAYBE_SPLITS = ['inlets.0.dc.split_pack' => null];

    /** A station that ends at 500 V, below the high-voltage car's 600 V at 10 %. */
    private const LOW = ['max_v' => 500];

    /**
     * @param  array<string, mixed>  $car
     * @param  array<string, mixed>  $outlet
     * @param  list<string>  $expected  one line for each way
     */
    #[DataProvider('dc')]
    #[DataProvider('ac')]
    public function test_every_way_a_car_has(array $car, array $outlet, array $expected, array $post = Cases::DC_POST): void
    {
        self::assertSame($expected, array_map(self::told(...), self::plans($car, $outlet, $post)));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>}> 320 V at 10 %, 360 V at 80 %; the sister 600 and 750 V */
    public static function dc(): iterable
    {
        $high = Cases::HIGH_VOLTAGE;
        yield 'inside the window' => [[], [], ['native 360-360']];
        yield 'at its floor' => [[], ['min_v' => 320], ['native 360-360']];
        yield 'below its floor' => [[], ['min_v' => 320.1], ['fails: voltage.below_floor']];
        yield 'at its ceiling when it begins' => [$high, ['max_v' => 600], ['native ends at 10 600-600']];
        yield 'its ceiling on the way' => [$high, ['max_v' => 675], ['native ends at 45 675-675']];
        yield 'floor unread' => [[], ['min_v' => null], ['native 360-360 unread station_min_v']];
        yield 'no DC side' => [['inlets.0.dc' => null], [], ['fails: voltage.no_dc_side']];
        yield 'pack unread' => [['pack' => []], [], ['unknown 150-1000 unread pack_v']];
        yield 'pack and window unread' => [['pack' => []], ['min_v' => null, 'max_v' => null], ['unknown 0-INF unread pack_v station_max_v station_min_v']];

        yield 'ceiling unread' => [[], ['max_v' => null], ['native 320-360 unread station_max_v']];
        yield 'both ends unread' => [[], ['max_v' => null, 'min_v' => null], ['native 320-360 unread station_max_v station_min_v']];
        yield 'ceiling unread, at the floor' => [[], ['max_v' => null, 'min_v' => 320], ['native 320-360 unread station_max_v']];
        yield 'ceiling unread, floor too high' => [[], ['max_v' => null, 'min_v' => 321], ['fails: voltage.below_floor']];
        yield 'ceiling unread, may step up' => [self::CONVERTER, ['max_v' => null], ['native 150-360 unread station_max_v']];
        yield 'both unread, may step up' => [self::CONVERTER, ['max_v' => null, 'min_v' => null], ['native 0-360 unread station_max_v station_min_v']];
        yield 'ceiling unread, splits' => [self::SPLITS, ['max_v' => null], ['native 160-360 unread station_max_v']];
        yield 'ceiling unread, may split' => [self::MAYBE_SPLITS, ['max_v' => null], ['native 160-360 unread station_max_v']];
        yield 'ceiling unread, half at the floor' => [self::SPLITS, ['max_v' => null, 'min_v' => 160], ['native 160-360 unread station_max_v']];
        yield 'ceiling unread, half below the floor' => [self::SPLITS, ['max_v' => null, 'min_v' => 160.1], ['native 320-360 unread station_max_v']];

        yield 'above all, no way of its own' => [$high, self::LOW, ['fails: voltage.above_ceiling']];
        yield 'splits' => [[...$high, ...self::SPLITS], self::LOW, ['split_pack 375-375']];
        yield 'half starts at the ceiling' => [[...$high, ...self::SPLITS], ['max_v' => 300], ['split_pack ends at 10 300-300']];
        yield 'half above it' => [[...$high, ...self::SPLITS], ['max_v' => 299], ['fails: voltage.half_above_ceiling']];
        yield 'half below the floor' => [[...$high, ...self::SPLITS], ['max_v' => 500, 'min_v' => 301], ['fails: voltage.below_floor']];
        yield 'may split' => [[...$high, ...self::MAYBE_SPLITS], self::LOW, ['native 375-375 unread split_pack']];
        yield 'may split, floor unread' => [[...$high, ...self::MAYBE_SPLITS], ['max_v' => 500, 'min_v' => null], ['native 375-375 unread split_pack station_min_v']];
        yield 'may split, and nothing would come of it' => [[...$high, ...self::MAYBE_SPLITS], ['max_v' => 299], ['fails: voltage.half_above_ceiling']];
        yield 'steps up' => [[...$high, ...self::CONVERTER], self::LOW, ['step_up 400-400']];
        yield 'steps up from the floor itself' => [[...$high, ...self::CONVERTER], ['max_v' => 500, 'min_v' => 400], ['step_up 400-400']];
        yield 'the floor is above what steps up' => [[...$high, ...self::CONVERTER], ['max_v' => 500, 'min_v' => 401], ['fails: voltage.step_up_below_floor']];
        yield 'the station ends below what steps up' => [[...$high, ...self::CONVERTER], ['max_v' => 390], ['step_up 390-390']];
        yield 'steps up, floor unread' => [[...$high, ...self::CONVERTER], ['max_v' => 500, 'min_v' => null], ['step_up 400-400 unread station_min_v']];
        $unread = [...$high, ...self::CONVERTER, 'inlets.0.dc.boost_converter.input_v' => null];
        yield 'from volts that nobody has read' => [$unread, self::LOW, ['step_up 150-500 unread converter_v']];
        yield 'and the floor unread' => [$unread, ['max_v' => 500, 'min_v' => null], ['step_up 0-500 unread converter_v station_min_v']];
        yield 'steps up and may split' => [[...$high, ...self::CONVERTER, ...self::MAYBE_SPLITS], self::LOW, ['step_up 400-400']];
        yield 'cannot step up here, may split' => [[...$high, ...self::CONVERTER, ...self::MAYBE_SPLITS], ['max_v' => 500, 'min_v' => 401], ['fails: voltage.step_up_below_floor']];
        yield 'both' => [[...$high, ...self::CONVERTER, ...self::SPLITS], self::LOW, ['split_pack 375-375', 'step_up 400-400']];
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>, array<string, mixed>}> a supply of 240 V, a charger for 100 to 250 V */
    public static function ac(): iterable
    {
        yield 'mains' => [[], [], ['mains 240-240'], Cases::AC_POST];
        yield 'no AC side' => [['inlets.0.ac' => null], [], ['fails: voltage.no_ac_side'], Cases::AC_POST];
        yield 'no AC side, volts unread' => [['inlets.0.ac' => null], ['supply.volts' => null], ['fails: voltage.no_ac_side'], Cases::AC_POST];
        yield 'supply unread' => [[], ['supply.volts' => null], ['unknown 100-INF unread supply_v'], Cases::AC_POST];
        yield 'supply and least volts unread' => [['inlets.0.ac.min_v' => null], ['supply.volts' => null], ['unknown 0-INF unread supply_v'], Cases::AC_POST];
        yield 'least volts unread, inside the window of its standard' => [['inlets.0.ac.min_v' => null], ['supply.volts' => 108], ['mains 108-108'], Cases::AC_POST];
        yield 'least volts unread, below it' => [['inlets.0.ac.min_v' => null], ['supply.volts' => 107], ['mains 107-107 unread ac_min_v'], Cases::AC_POST];
        yield 'phases unread, by their standard' => [['inlets.0.ac.phases' => null, 'inlets.0.ac.min_v' => null], ['supply.phases' => null], ['mains 240-240'], Cases::AC_POST];
        yield 'phases unread at a socket that no standard here names' => [[], ['coupler' => 'socket:unheard-of', 'supply.phases' => null], ['mains 240-240 unread supply_phases'], Cases::AC_POST];
        yield 'supply and phases unread' => [['inlets.0.ac.phases' => null], ['supply' => null], ['unknown 100-INF unread supply_v'], Cases::AC_POST];
        yield 'just enough' => [['inlets.0.ac.min_v' => 240], [], ['mains 240-240'], Cases::AC_POST];
        yield 'too little' => [['inlets.0.ac.min_v' => 240.1], [], ['fails: voltage.supply_low'], Cases::AC_POST];
        yield 'read off the plate of the post' => [[], ['supply.volts' => null, 'max_v' => 230], ['mains 230-230'], Cases::AC_POST];
    }

    public function test_the_plan_that_goes_the_same_way(): void
    {
        $car = [...Cases::HIGH_VOLTAGE, ...self::CONVERTER, ...self::SPLITS];
        [$split, $stepped] = self::plans($car, self::LOW, Cases::DC_POST);
        $native = self::plans([], [], Cases::DC_POST)[0];
        $case = Cases::read(Cases::file(car: $car, outlet: self::LOW));
        $alike = static fn (VoltagePlan $plan): string => self::told((new VoltagePlanner)->alike($plan, new Chain($case->outlet, [], $case->vehicle, 0), $case->conditions));

        self::assertSame(['split_pack 375-375', 'step_up 400-400', 'split_pack 375-375'], [$alike($split), $alike($stepped), $alike($native)]);
    }

    /**
     * @param  array<string, mixed>  $car
     * @param  array<string, mixed>  $outlet
     * @param  array<string, mixed>  $post
     * @return list<VoltagePlan>
     */
    private static function plans(array $car, array $outlet, array $post): array
    {
        $case = Cases::read(Cases::file(car: $car, outlet: $outlet, post: $post));

        return (new VoltagePlanner)->plans(new Chain($case->outlet, [], $case->vehicle, 0), $case->conditions);
    }

    private static function told(VoltagePlan $plan): string
    {
        $case = Cases::read(Cases::file());
        $span = $plan->highestV($case->conditions);

        return implode(' ', array_filter([
            $plan->failure === null ? ($plan->mode->value ?? 'unknown') : 'fails: '.$plan->failure->code,
            $plan->ceilingAtSoc === null ? null : "ends at {$plan->ceilingAtSoc}",
            $span === null ? null : $span[0].'-'.$span[1],
            $plan->missing === [] ? null : 'unread '.implode(' ', array_map(static fn (UnreadFact $u): string => $u->asked->value, $plan->missing)),
        ], is_string(...)));
    }
}
