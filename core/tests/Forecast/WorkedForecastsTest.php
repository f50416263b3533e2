<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Forecast;

use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\HeatReport;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** Forecasts with figures worked out by hand. The handshake takes 0.75 min; the ramp is 10 kW/s. */
final class WorkedForecastsTest extends TestCase
{
    /** A pack of 60 kWh at a level 300 V, a flat curve far above every limit. */
    private const LOW_VOLTAGE = ['pack.voltage_by_soc' => [[0, 300], [100, 300]], 'charge_curve_kw' => [[0, 300], [100, 300]], 'inlets.0.dc.max_kw' => null];

    public function test_constant_current_on_a_low_voltage_pack(): void
    {
        // 200 A × 300 V = 60 kW behind a 350 kW sticker. 42 kWh into the pack are 44.211 kWh at the plug: 44.211 min at
        // 60 kW, and the ramp of 6 s gives half of it, so 3 s more.
        $forecast = self::forecast(Cases::file(car: self::LOW_VOLTAGE, outlet: ['max_a' => 200]));

        self::assertEqualsWithDelta(0.75 + 44.2105 + 0.05, $forecast->totals->minutes, 0.001);
        self::assertEqualsWithDelta(44.2105, $forecast->totals->plugKwh, 0.0001);
        self::assertEqualsWithDelta(42.0, $forecast->totals->packKwh, 0.0001);
        self::assertEqualsWithDelta(60.0, $forecast->totals->peakKw, 1e-6);
        self::assertSame(['ramp', 'station_current'], array_keys($forecast->totals->minutesByBinding));
        self::assertEqualsWithDelta(0.1, $forecast->totals->minutesByBinding['ramp'], 1e-6);
    }

    public function test_a_rising_voltage_lifts_a_constant_current(): void
    {
        // 100 A from 300 V at 0 % to 400 V at 100 %: P = 30 + 0.1 s kW. From 0 to 100 %, 60 kWh into the pack at 95 %:
        // t = 60 / (0.95 × 10) × ln(40 / 30) h = 109.02 min; the ramp of 3 s costs 1.5 s.
        $forecast = self::forecast(Cases::file(
            car: ['pack.voltage_by_soc' => [[0, 300], [100, 400]], 'charge_curve_kw' => [[0, 300], [100, 300]], 'inlets.0.dc.max_kw' => null],
            outlet: ['max_a' => 100],
            case: ['conditions.soc_from' => 0, 'conditions.soc_to' => 100],
        ));

        self::assertEqualsWithDelta(0.75 + 60 * 60 / 9.5 * log(4 / 3) + 0.025, $forecast->totals->minutes, 0.002);
    }

    public function test_a_step_up_holds_a_plateau_at_a_500_v_station(): void
    {
        // 50 kW at the plug, 92 % of it into the pack: 42 / 0.92 = 45.652 kWh, 54.783 min, and a ramp of 5 s.
        $forecast = self::forecast(Cases::file(
            car: Cases::HIGH_VOLTAGE + ['inlets.0.dc.boost_converter' => ['max_kw' => 50, 'input_v' => 400]],
            outlet: ['max_v' => 500],
        ));

        self::assertEqualsWithDelta(0.75 + 54.7826 + 2.5 / 60, $forecast->totals->minutes, 0.001);
        self::assertEqualsWithDelta(42 / 0.92, $forecast->totals->plugKwh, 1e-6);
        self::assertSame('converter_power', $forecast->totals->longestBinding()[0] ?? null);
        self::assertSame([400.0, 125.0], [$forecast->course->points[10]->flow->volts, round($forecast->course->points[10]->flow->amps, 6)]);
    }

    public function test_a_boost_that_runs_out(): void
    {
        // 400 A for 15 min, then 250 A, at 45 °C: τ = 30.32 min, 208.0 A, and the boost lasts 9.5 min (0.9 s less warm
        // up for the ramp). 300 V: 120 kW, then 62.4 kW.
        $forecast = self::forecast(Cases::file(
            car: self::LOW_VOLTAGE, outlet: ['coupler' => 'j3400'],
            adapters: [['plate.continuous_a' => 250, 'plate.boost_a' => 400, 'plate.boost_minutes' => 15]],
            case: ['conditions.ambient_c' => 45],
        ));
        $heat = self::heat($forecast, 'a1');

        self::assertEqualsWithDelta(9.5, $heat->boostMinutesToday(), 0.05);
        self::assertEqualsWithDelta(208.0, $heat->link->duty->effectiveA, 0.05);
        // A ramp of 12 s heats as 4 s of full current: 8 s later.
        self::assertEqualsWithDelta(0.75 + $heat->boostMinutesToday() + 8 / 60, $heat->fullAtMinute, 0.01);
        self::assertEqualsWithDelta(1.0, $heat->thetaEnd, 1e-5);
        // Plug energy by then: 120 kW for the boost and half the ramp; the rest at 62.404 kW.
        $boostKwh = 120 * ($heat->boostMinutesToday() + 8 / 60 - 6 / 60) / 60;
        $restMinutes = (44.2105 - $boostKwh) / (300 * $heat->link->duty->effectiveA / 1000) * 60;
        self::assertEqualsWithDelta($heat->fullAtMinute + $restMinutes, $forecast->totals->minutes, 0.02);
        self::assertSame('adapter_current', $forecast->totals->longestBinding()[0] ?? null);
    }

    public function test_a_warm_start_shortens_the_boost_and_rest_restores_it(): void
    {
        $boost = static fn (array $conditions): ?float => self::heat(self::forecast(Cases::file(
            outlet: ['coupler' => 'j3400'], adapters: [[]],
            case: Cases::changed(['conditions' => ['soc_from' => 10, 'soc_to' => 80, 'ambient_c' => 25]], $conditions),
        )), 'a1')->boostMinutesToday();
        $tau = -15 / log(1 - (300 / 500) ** 2);

        self::assertEqualsWithDelta(15.0, $boost([]), 1e-6);
        // From θ = 0.9 towards (500/300)² = 2.7778: τ ln((2.7778 − 0.9) / 1.7778).
        self::assertEqualsWithDelta($tau * log((2.7778 - 0.9) / 1.7778), $boost(['conditions.theta.a1' => 0.9]), 0.001);
        // After τ minutes at rest 0.9 has fallen to 0.3311.
        self::assertEqualsWithDelta($tau * log((2.7778 - 0.3311) / 1.7778), $boost(['conditions.theta.a1' => 0.9, 'conditions.rested_minutes' => $tau]), 0.001);
    }

    public function test_a_pair_of_stalls_under_each_policy(): void
    {
        $kw = static fn (array $cabinet): float => self::forecast(Cases::file(car: self::LOW_VOLTAGE, outlet: ['max_a' => 1000, 'cable.continuous_a' => 1000, 'cabinet' => ['kw' => 120, 'partner_active' => true, ...$cabinet]], case: ['vehicle.inlets.0.dc.max_a' => 1000]))->totals->peakKw;

        self::assertEqualsWithDelta(60.0, $kw(['policy' => 'halves']), 1e-6);
        self::assertEqualsWithDelta(40.0, $kw(['policy' => 'first_come', 'partner_kw' => 80]), 1e-6);
        // 4 blocks of 30 kW; 50 kW need two of them.
        self::assertEqualsWithDelta(60.0, $kw(['policy' => 'modules', 'partner_kw' => 50, 'module_kw' => 30]), 1e-6);
    }

    public function test_a_neighbour_who_arrives_later(): void
    {
        // 120 kW for 10 min from plugging in (9.25 min flowing, less half of a ramp of 12 s), then half of it.
        $cabinet = ['kw' => 120, 'policy' => 'halves'];
        $forecast = self::forecast(Cases::file(car: self::LOW_VOLTAGE, outlet: ['cabinet' => $cabinet], case: ['conditions.faults' => ['neighbour_at_minute' => 10]]));
        $before = 120 * (9.25 - 0.1) / 60;

        self::assertEqualsWithDelta(10 + (44.2105 - $before) / 60 * 60, $forecast->totals->minutes, 0.002);
        self::assertEqualsWithDelta($forecast->totals->minutes - 10, $forecast->totals->minutesByBinding['sharing'], 0.002);
        // Who came first keeps what it takes.
        $first = self::forecast(Cases::file(car: self::LOW_VOLTAGE, outlet: ['cabinet' => ['kw' => 120, 'policy' => 'first_come']], case: ['conditions.faults' => ['neighbour_at_minute' => 10]]));
        self::assertArrayNotHasKey('sharing', $first->totals->minutesByBinding);
        // Not known how it shares: said, not guessed.
        $unknown = self::forecast(Cases::file(car: self::LOW_VOLTAGE, outlet: ['cabinet' => ['kw' => 120]], case: ['conditions.faults' => ['neighbour_at_minute' => 10]]));
        self::assertSame(['how the cabinet shares its power'], array_map(static fn ($u): string => Say::it($u->fact()), $unknown->answer->limits->unread ?? []));
    }

    public function test_a_cold_start_and_a_prepared_one(): void
    {
        // At 0 °C 35 % of a flat 100 kW curve. Every percent x adds 0.24 K, so the factor is 0.35 + 0.00624 x, and 70 percent
        // take ln((0.35 + 0.00624 · 70) / 0.35) / 0.00624 = 129.8 times as long as one of them warm, not 200; the ramp costs 1.75 s.
        $car = ['charge_curve_kw' => [[0, 100], [100, 100]]];
        $cold = self::forecast(Cases::file(car: $car, case: ['conditions.pack_c' => 0, 'conditions.pack_prepared' => false]));
        $prepared = self::forecast(Cases::file(car: $car, case: ['conditions.pack_c' => 0, 'conditions.pack_prepared' => true]));

        self::assertEqualsWithDelta(0.75 + 44.2105 / 100 * 60 / 70 * log((0.35 + 0.00624 * 70) / 0.35) / 0.00624 + 1.75 / 60, $cold->totals->minutes, 0.003);
        self::assertSame('cold_pack', $cold->totals->longestBinding()[0] ?? null);
        self::assertEqualsWithDelta(0.75 + 44.2105 / 100 * 60 + 5 / 60, $prepared->totals->minutes, 0.002);
    }

    public function test_a_socket_overnight(): void
    {
        // 120 V × 12 A = 1.44 kW; 42 kWh into the pack at 90 % are 46.667 kWh: 32.407 h.
        $forecast = self::forecast(Cases::file(
            outlet: ['coupler' => 'socket:5-15', 'signalling' => [], 'cable' => null, 'supply' => ['volts' => 120, 'amps' => 12, 'phases' => 1]],
            adapters: [['input' => 'socket:5-15', 'output' => 'type1', 'current' => 'ac', 'plate.continuous_a' => 12, 'plate.boost_a' => null, 'plate.boost_minutes' => null]],
            post: Cases::AC_POST,
        ));

        self::assertEqualsWithDelta(32.407 * 60 + 0.75, $forecast->totals->minutes, 0.05);
        self::assertEqualsWithDelta(46.667, $forecast->totals->plugKwh, 0.001);
        // The supply and its portable supply allow the same: what hangs on the wall is named with them.
        self::assertContains($forecast->totals->longestBinding()[0] ?? null, ['supply_current', 'adapter_current']);
    }

    public function test_a_ceiling_is_reached_at_n_percent(): void
    {
        // 320 V at 10 %, 360 V at 80 %: 350 V at 62.5 %. 31.5 kWh into the pack at 150 kW up to 60 %, then the taper.
        $forecast = self::forecast(Cases::file(outlet: ['max_v' => 350]));

        self::assertEqualsWithDelta(62.5, $forecast->totals->socEnd, 1e-6);
        self::assertSame("The station can't go above 350 V; the battery reaches that at 63 %.", Say::it($forecast->cutShort));
        self::assertEqualsWithDelta(31.5, $forecast->totals->packKwh, 1e-6);
        self::assertSame(55.0, $forecast->course->nextFive[count($forecast->course->nextFive) - 1]->soc);
    }

    public function test_a_dead_pump_and_a_derated_stall_are_asked_for(): void
    {
        // Without coolant 200 A at 300 V.
        $crawl = self::forecast(Cases::file(car: self::LOW_VOLTAGE, case: ['conditions.faults' => ['cooling_failed' => true]]));
        self::assertEqualsWithDelta(60.0, $crawl->totals->peakKw, 1e-6);
        self::assertSame('cable_current', $crawl->totals->longestBinding()[0] ?? null);

        $derated = self::forecast(Cases::file(car: self::LOW_VOLTAGE, case: ['conditions.faults' => ['derated_kw' => 42]]));
        self::assertEqualsWithDelta(42.0, $derated->totals->peakKw, 1e-6);
        self::assertSame('station_power', $derated->totals->longestBinding()[0] ?? null);
    }

    public function test_the_next_five_percent_slow_down_as_the_curve_falls(): void
    {
        // Above 60 % the curve is 150 − 3.5 (s − 60): 80 kW at 80 %, 62.5 kW at 85 %. 5 % are 3 kWh into the pack:
        // t = 60 × 0.6 / (0.95 × 3.5) × ln(80 / 62.5) min.
        $forecast = self::forecast(Cases::file());
        $next = $forecast->course->nextFive[count($forecast->course->nextFive) - 1];

        self::assertSame(80.0, $next->soc);
        self::assertEqualsWithDelta(36 / (0.95 * 3.5) * log(80 / 62.5), $next->minutesPer5, 1e-4);
        self::assertEqualsWithDelta(3 / 0.95, $next->plugKwhPer5, 1e-6);
    }

    public function test_where_going_on_is_quicker(): void
    {
        // The curve falls below 115 kW at 70 %.
        $soc = static fn (?float $kw): ?float => self::forecast(Cases::file(case: ['conditions.next_stop_kw' => $kw]))->advice->goOnAtSoc;

        self::assertEqualsWithDelta(70.0, $soc(115), 1e-3);
        self::assertNull($soc(40));
        self::assertNull($soc(null));
        self::assertEqualsWithDelta(10.0, $soc(200), 1.0);
    }

    public function test_what_is_not_known_is_asked_for(): void
    {
        $forecast = self::forecast(Cases::file(car: ['pack.usable_kwh' => null]));
        self::assertSame([null, ["the battery's usable energy"]], [$forecast->totals->minutes, array_map(static fn ($u): string => Say::it($u->fact()), $forecast->missing)]);

        $noVolts = self::forecast(Cases::file(car: ['pack.voltage_by_soc' => null]));
        self::assertNull($noVolts->totals->minutes);
        self::assertSame('the battery voltage', Say::it($noVolts->missing[0]->fact()));

        $refused = self::forecast(Cases::file(outlet: ['signalling' => ['can_legacy']]));
        self::assertSame([null, 10.0, 'wont_charge'], [$refused->totals->minutes, $refused->totals->socEnd, $refused->answer->outcome->value]);
        self::assertNotNull($refused->cutShort);
    }

    public function test_a_curve_that_ends_at_nothing_stops_and_says_so(): void
    {
        $forecast = self::forecast(Cases::file(car: ['charge_curve_kw' => [[0, 100], [70, 0], [100, 0]]]));

        self::assertSame("Charging ends here: the car's charge curve allows no more.", Say::it($forecast->cutShort));
        self::assertGreaterThan(69.5, $forecast->totals->socEnd);
        self::assertLessThan(70.0, $forecast->totals->socEnd);
    }

    private static function forecast(array $file): Forecast
    {
        $case = Cases::read($file);

        return (new Forecaster)->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
    }

    private static function heat(Forecast $forecast, string $link): HeatReport
    {
        foreach ($forecast->course->heat as $heat) {
            if ($heat->link->linkId === $link) {
                return $heat;
            }
        }
        self::fail("{$link} has no heat");
    }
}
