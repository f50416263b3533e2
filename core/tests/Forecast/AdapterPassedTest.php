<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Forecast;

use Harmozon\Core\Answers\ForecastWriter;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From when on an adapter that may not hold back would be passed. 60 kWh at a level 300 V; the station gives 500 A. */
final class AdapterPassedTest extends TestCase
{
    private const CAR = ['pack.voltage_by_soc' => [[0, 300], [100, 300]], 'charge_curve_kw' => [[0, 300], [100, 300]], 'inlets.0.dc.max_kw' => null, 'inlets.0.dc.max_a' => 700];

    private const NO_BOOST = ['plate.boost_a' => null, 'plate.boost_minutes' => null];

    public function test_when_the_boost_ends(): void
    {
        // The ramp passes 300 A at 54 s; 15 minutes above are over at 954 s. 15 s of ramp and 894 s of 150 kW are
        // 37.56 kWh, 35.68 of them in the pack: 59.47 %.
        $told = self::told([]);

        self::assertSame(['adapter' => 'a1', 'minute' => 15.9, 'soc' => 69.47, 'allowed_a' => 300.0, 'would_carry_a' => 500.0], $told['stop_at']);
        self::assertSame("A1 may not limit the current itself. From minute 15.9, at 69 %, everything else here can still carry 500 A; A1 is rated 300 A by then. Stop by then or lower the car's charging limit. This forecast assumes you do.", $told['stop_words']);
    }

    public function test_with_the_first_power_where_there_is_no_boost_or_more_than_it(): void
    {
        $told = self::told(self::NO_BOOST);
        self::assertSame(['adapter' => 'a1', 'minute' => 0.75, 'soc' => 10.0, 'allowed_a' => 300.0, 'would_carry_a' => 500.0], $told['stop_at']);
        self::assertSame("A1 may not limit the current itself. From the start, everything else here can carry 500 A; A1 is rated 300 A. Lower the car's charging limit or pick a weaker stall. This forecast assumes you do.", $told['stop_words']);

        $told = self::told([], ['max_a' => 600, 'cable.continuous_a' => 600, 'max_kw' => 600]);
        self::assertSame(['adapter' => 'a1', 'minute' => 0.75, 'soc' => 10.0, 'allowed_a' => 500.0, 'would_carry_a' => 600.0], $told['stop_at']);
    }

    public function test_what_the_neighbour_leaves_is_all_that_the_rest_would_carry(): void
    {
        // Halves of 300 kW from minute 5: 150 kW are 500 A; of 160 kW, 80 kW are 267 A, which nothing passes.
        $shared = static fn (float $kw): ?array => self::passed([], ['cabinet' => ['kw' => $kw, 'policy' => 'halves']], ['conditions.faults' => ['neighbour_at_minute' => 5]]);

        self::assertSame(15.9, $shared(300)['minute'] ?? null);
        self::assertNull($shared(160));
    }

    /**
     * @param  array<string, mixed>  $adapter
     * @param  array<string, mixed>  $outlet
     * @param  array<string, mixed>  $case
     */
    #[DataProvider('whereNothingIsPassed')]
    public function test_nothing_to_obey(array $adapter, array $outlet = [], array $case = []): void
    {
        self::assertNull(self::passed($adapter, $outlet, $case));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1?: array<string, mixed>, 2?: array<string, mixed>}> */
    public static function whereNothingIsPassed(): iterable
    {
        yield 'it holds back' => [['holds_back' => true]];
        yield 'it says from which heat on it holds back' => [['derate_c' => 85]];
        yield 'the rest carries just as much' => [self::NO_BOOST, ['max_a' => 300]];
        yield 'the cable carries no more' => [[], ['cable.continuous_a' => 300]];
        yield 'the session ends before the boost does' => [[], [], ['conditions.soc_to' => 69]];
    }

    public function test_what_says_that_it_does_not_hold_back_outranks_its_heat(): void
    {
        self::assertSame(15.9, self::passed(['holds_back' => false, 'derate_c' => 85])['minute'] ?? null);
    }

    public function test_its_kw_count_too(): void
    {
        // 90 kW are 300 A at 300 V.
        self::assertSame(
            ['adapter' => 'a1', 'minute' => 0.75, 'soc' => 10.0, 'allowed_a' => 300.0, 'would_carry_a' => 500.0],
            self::passed(['plate.max_kw' => 90]),
        );
    }

    /**
     * @param  array<string, mixed>  $adapter
     * @param  array<string, mixed>  $outlet
     * @param  array<string, mixed>  $case
     * @return array<string, mixed>|null
     */
    private static function passed(array $adapter, array $outlet = [], array $case = []): ?array
    {
        return self::told($adapter, $outlet, $case)['stop_at'];
    }

    /**
     * @param  array<string, mixed>  $adapter
     * @param  array<string, mixed>  $outlet
     * @param  array<string, mixed>  $case
     * @return array<string, mixed>
     */
    private static function told(array $adapter, array $outlet = [], array $case = []): array
    {
        $case = Cases::read(Cases::file(self::CAR, ['coupler' => 'j3400'] + $outlet, [$adapter], $case));
        $forecast = (new Forecaster)->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);

        return (new ForecastWriter(Say::voice()))->forecast($forecast, $case->conditions);
    }
}
