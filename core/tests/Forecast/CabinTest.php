<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Forecast;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\LimitedSegment;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** Heating or cooling with somebody in the car: plug power × efficiency = battery power + cabin. */
final class CabinTest extends TestCase
{
    use TestTrait;

    private const SOCKET = ['coupler' => 'socket:5-15', 'signalling' => [], 'cable' => null, 'supply' => ['volts' => 120, 'amps' => 12, 'phases' => 1]];

    private const SUPPLY = ['input' => 'socket:5-15', 'output' => 'type1', 'current' => 'ac', 'plate.continuous_a' => 12, 'plate.boost_a' => null, 'plate.boost_minutes' => null];

    private const LEVEL = ['pack.voltage_by_soc' => [[0, 300], [100, 300]], 'charge_curve_kw' => [[0, 300], [100, 300]], 'inlets.0.dc.max_kw' => null];

    public function test_where_the_plug_limits_it_costs_time(): void
    {
        // 200 A × 300 V = 60 kW at the plug are 57 kW behind it; 3 kW heat, 54 kW charge: 42 kWh take 46.667 min instead of
        // 44.211. The ramp of 6 s gives half of 60 kW, 3 s of it are lost: 3 s × 57/54.
        $forecast = self::forecast(Cases::file(car: self::LEVEL, outlet: ['max_a' => 200], case: ['conditions.cabin_kw' => 3]));

        self::assertEqualsWithDelta(0.75 + 42 / 54 * 60 + 3 / 60 * 57 / 54, $forecast->totals->minutes, 0.002);
        self::assertEqualsWithDelta(42.0, $forecast->totals->packKwh, 1e-6);
        self::assertEqualsWithDelta(3 * ($forecast->totals->minutes - 0.75) / 60, $forecast->totals->cabinKwh, 1e-6);
        self::assertEqualsWithDelta([42 / 54 * 60 - 42 / 57 * 60, 2.46], [$forecast->advice->saving?->minutes, $forecast->advice->saving?->plugKwh], 0.01);
        self::assertSame('Heating or cooling takes 2.3 kWh. With it off, the session would be 2.5 min shorter and take 2.5 kWh less.', Say::it($forecast->advice->saving?->message($forecast->totals->cabinKwh, false) ?? throw new \LogicException));
    }

    public function test_where_the_car_limits_it_costs_energy_alone(): void
    {
        $curve = ['charge_curve_kw' => [[0, 60], [100, 60]], 'inlets.0.dc.max_kw' => null];
        $off = self::forecast(Cases::file(car: $curve));
        $on = self::forecast(Cases::file(car: $curve, case: ['conditions.cabin_kw' => 2]));

        // The ramp to 62.1 kW is a fifth of a second longer than to 60.
        self::assertEqualsWithDelta($off->totals->minutes, $on->totals->minutes, 0.01);
        self::assertEqualsWithDelta(60 + 2 / 0.95, $on->totals->peakKw, 1e-6);
        self::assertEqualsWithDelta($on->totals->cabinKwh / 0.95, $on->totals->plugKwh - $off->totals->plugKwh, 1e-6);
        self::assertStringContainsString('in the same time', Say::it($on->advice->saving?->message(1.0, true) ?? throw new \LogicException));
        self::assertNull($off->advice->saving);
    }

    public function test_at_a_weak_socket_it_takes_most_of_what_arrives_or_more(): void
    {
        $at = static fn (array $conditions): Forecast => self::forecast(Cases::file(outlet: self::SOCKET, adapters: [self::SUPPLY], case: $conditions, post: Cases::AC_POST));

        // 1.44 kW × 90 % = 1.296 kW; 1 kW of it heats: 0.296 kW charge, 1.2 kWh for 2 % of 60 kWh in 4.05 h.
        $mild = $at(['conditions.cabin' => 'mild', 'conditions.soc_from' => 10, 'conditions.soc_to' => 12]);
        self::assertEqualsWithDelta(0.75 + 1.2 / 0.296 * 60, $mild->totals->minutes, 0.2);
        // 3 kW of 1.296 kW: (3 − 1.296) / 60 = 2.84 % an hour are lost.
        $strong = $at(['conditions.cabin' => 'strong', 'conditions.soc_from' => 10]);
        self::assertSame(['end.charge_falls', 10.0], [$strong->cutShort?->code, $strong->totals->socEnd]);
        self::assertSame('The charge falls by 3 % an hour: heating or cooling takes more than the 1.4 kW from the plug.', Say::it($strong->cutShort));
        self::assertSame("Switch off heating or cooling. With it on, the charge won't rise.", Say::it($strong->advice->saving?->message(0.0, true) ?? throw new \LogicException));
    }

    public function test_energy_is_conserved_and_more_of_it_never_charges_faster(): void
    {
        $this->forAll(Generators::choose(20, 400), Generators::choose(0, 60), Generators::choose(0, 30), Generators::elements(-10, 5, 25))
            ->then(static function (int $maxA, int $tenths, int $more, int $ambientC): void {
                $at = static fn (int $cabin): Forecast => self::forecast(Cases::file(outlet: ['max_a' => $maxA], case: ['conditions.cabin_kw' => $cabin / 10, 'conditions.pack_prepared' => false, 'conditions.ambient_c' => $ambientC]));
                $now = $at($tenths);

                self::assertEqualsWithDelta($now->totals->plugKwh * 0.95, $now->totals->packKwh + $now->totals->cabinKwh, 1e-6);
                self::assertEqualsWithDelta(60 * ($now->totals->socEnd - 10) / 100, $now->totals->packKwh, 1e-6);
                $minutes = static fn (Forecast $f): float => $f->cutShort === null ? $f->totals->minutes ?? INF : INF;
                $warmer = $at($tenths + $more);
                self::assertGreaterThanOrEqual($minutes($now) - 1e-3, $minutes($warmer));
                self::assertGreaterThanOrEqual($warmer->cutShort === null ? $now->totals->plugKwh - 1e-6 : 0.0, $warmer->totals->plugKwh);
            });
    }

    public function test_a_level_that_the_cabin_explains_is_no_derated_stall(): void
    {
        // A socket of 1.44 kW gives what it says; the charge rises by the 0.296 kW that 1 kW of heating leaves.
        $causes = static function (array $conditions): array {
            $case = Cases::read(Cases::file(outlet: self::SOCKET, adapters: [self::SUPPLY], case: ['conditions.soc_from' => 10, 'conditions.soc_to' => 12, ...$conditions], post: Cases::AC_POST));
            $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
            $judge = new Judge($answer, $case->conditions);
            for ($minute = 1; $minute <= 240; $minute++) {
                $judge->add(new Reading($minute * 60_000, 10 + 0.296 * $minute / 60 / 60 * 100, 120, 12, 1.44));
            }
            $recorded = RecordedSession::of($answer, $case->conditions, $judge->judgement());
            self::assertEqualsWithDelta($conditions === [] ? 262 : 60, $recorded->judgement->impliedUsableKwh, 4, 'of the pack');

            return [abs($recorded->diagnosis->grade?->errorMinutes() ?? INF) < 2, array_map(static fn (LimitedSegment $h): Cause => $h->finding->cause, $recorded->diagnosis->heldBackBy)];
        };

        self::assertTrue($causes(['conditions.cabin_kw' => 1])[0]);
        self::assertFalse($causes([])[0]);
        self::assertNotContains(Cause::DeratedStall, $causes(['conditions.cabin_kw' => 1])[1]);
    }

    /** @param  array<string, mixed>  $file */
    private static function forecast(array $file): Forecast
    {
        $case = Cases::read($file);

        return (new Forecaster)->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
    }
}
