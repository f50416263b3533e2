<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Forecast;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Step;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** A pack that warms while it charges, preparation in minutes, a need given as a distance, a neighbour who leaves. */
final class WarmingPackTest extends TestCase
{
    use TestTrait;

    /** 75 kWh, 100 kW into the pack and a 6 kW heater: 10 kW of heat into 450 kJ/K are 1.33 K a minute. */
    public function test_the_worked_rate(): void
    {
        // At the plug 100 / 0.95 kW; a factor of 0.35 + 0.65 · 10 / 25 = 0.61 leaves so much of the curve at 10 °C.
        $forecast = self::forecast(['vehicle.charge_curve_kw' => [[0, 400]], 'vehicle.inlets.0.dc.max_kw' => 400, 'outlet.max_kw' => 100 / 0.95, 'conditions.soc_to' => 60]);
        [$early, $late] = [self::at($forecast, 240), self::at($forecast, 360)];

        self::assertEqualsWithDelta(100 / 0.95, $early->flow->kw, 1e-6);
        self::assertEqualsWithDelta(2 * 4 / 3, $late->heat->packC - $early->heat->packC, 1e-6);
    }

    /** Nothing flows for 45 s, but the heater runs: 6 kW into 450 kJ/K. */
    public function test_the_heater_runs_from_plugging_in(): void
    {
        $forecast = self::forecast();

        self::assertEqualsWithDelta(10 + 45 * 6 / 450, self::at($forecast, 45)->heat->packC, 1e-9);
        self::assertSame(['The battery starts at 10 °C and warms up while it charges.'], array_map(Say::it(...), $forecast->advice->notes));
    }

    /** Charging alone adds 0.04 · 36 / 6 = 0.24 K with every percent, whatever the pack's size. */
    public function test_a_heater_that_nobody_has_read_counts_as_none_and_is_told(): void
    {
        foreach ([40, 120] as $usableKwh) {
            $forecast = self::forecast(['vehicle.pack.heater_kw' => null, 'vehicle.pack.usable_kwh' => $usableKwh]);
            self::assertEqualsWithDelta(10 + 0.24 * (self::soc($forecast, 40.0) - 10), self::packC($forecast, 40.0), 1e-6);
            self::assertSame('note.heater_unread', $forecast->advice->notes[0]->code);
        }
    }

    public function test_the_limit_follows_the_temperature_and_the_code_turns_when_it_is_warm(): void
    {
        $forecast = self::forecast();
        foreach ($forecast->course->points as $point) {
            if ($point->binding->value === 'cold_pack') {
                $factor = 0.35 + 0.65 * $point->heat->packC / 25;
                self::assertLessThan(25, $point->heat->packC);
                self::assertEqualsWithDelta(150 * $factor, $point->flow->kw, 0.05);
            } elseif ($point->binding->value === 'vehicle_curve') {
                self::assertEqualsWithDelta(25, $point->heat->packC, 0.01);
                self::assertEqualsWithDelta($point->soc <= 60 ? 150 : 150 - ($point->soc - 60) * 3.5, $point->flow->kw, 0.05);
            }
        }
        self::assertGreaterThan(4, $forecast->totals->minutesByBinding['cold_pack']);
        self::assertGreaterThan(4, $forecast->totals->minutesByBinding['vehicle_curve']);
    }

    public function test_small_steps_and_large_ones_agree(): void
    {
        $this->limitTo(25)->forAll(Generators::choose(-30, 24), Generators::choose(0, 12), Generators::choose(20, 110), Generators::choose(60, 350))
            ->then(static function (int $packC, int $heaterKw, int $usableKwh, int $postKw): void {
                $changes = ['conditions.pack_c' => $packC, 'vehicle.pack.heater_kw' => $heaterKw, 'vehicle.pack.usable_kwh' => $usableKwh, 'outlet.max_kw' => $postKw];
                $fine = self::forecast($changes, new Forecaster(0.5));
                foreach ([new Forecaster, Forecaster::sparing(), Forecaster::totals(null)] as $coarse) {
                    $other = self::forecast($changes, $coarse);
                    self::assertEqualsWithDelta($fine->totals->minutes, $other->totals->minutes, 0.002 * $fine->totals->minutes);
                    self::assertEqualsWithDelta($fine->totals->plugKwh, $other->totals->plugKwh, 1e-6);
                }
            });
    }

    public function test_a_warmer_pack_and_a_stronger_heater_never_take_longer(): void
    {
        $this->limitTo(30)->forAll(Generators::choose(-25, 20), Generators::choose(0, 8), Generators::choose(0, 10), Generators::choose(0, 6))
            ->then(static function (int $packC, int $warmer, int $heaterKw, int $more): void {
                $minutes = static fn (int $c, int $kw): float => self::forecast(['conditions.pack_c' => $c, 'vehicle.pack.heater_kw' => $kw])->totals->minutes ?? INF;

                self::assertGreaterThanOrEqual($minutes($packC + $warmer, $heaterKw + $more), $minutes($packC, $heaterKw) + 1e-3);
            });
    }

    /** 20 minutes of 6 kW into 450 kJ/K are 16 K: from 4 to 20 °C; from 15 no further than 25; what is warmer stays. */
    public function test_preparation_in_minutes(): void
    {
        $start = static fn (float $packC, float $minutes): ?float => self::forecast(['conditions.pack_c' => $packC, 'conditions.pack_prepared' => $minutes])->course->points[0]->heat->packC;

        self::assertEqualsWithDelta(20.0, $start(4, 20), 1e-9);
        self::assertEqualsWithDelta(4.8, $start(4, 1), 1e-9);
        self::assertNull($start(15, 20));
        self::assertNull($start(31, 20));
        self::assertEqualsWithDelta(self::forecast(['conditions.pack_prepared' => true])->totals->minutes, self::forecast(['conditions.pack_c' => 15, 'conditions.pack_prepared' => 20])->totals->minutes, 1e-9);
        self::assertEqualsWithDelta(self::forecast(['conditions.pack_c' => 12])->totals->minutes, self::forecast(['conditions.pack_c' => 4, 'conditions.pack_prepared' => 10])->totals->minutes, 1e-9);
    }

    /** 180 km at 6 km per kWh are 30 kWh, of 75 kWh 40 %; with 10 % left 50 %. */
    public function test_a_distance_sets_the_target(): void
    {
        $distance = static fn (array $distance, array $changes = []): Forecast => self::forecast(['conditions.distance' => $distance, ...$changes]);

        self::assertSame(50.0, $distance(['km' => 180, 'reserve_soc' => 10])->totals->socEnd);
        self::assertSame(50.0, $distance(['km' => 180])->totals->socEnd);
        self::assertSame('180 km with 10 % left on arrival needs 50 %, counting the same consumption at every speed.', Say::it($distance(['km' => 180])->advice->notes[0]));
        self::assertSame([100.0, 'note.distance_beyond'], [$distance(['km' => 500])->totals->socEnd, $distance(['km' => 500])->advice->notes[0]->code]);
        self::assertSame([10.0, 'note.distance_there'], [$distance(['km' => 30, 'reserve_soc' => 0])->totals->socEnd, $distance(['km' => 30, 'reserve_soc' => 0])->advice->notes[0]->code]);
        $unread = $distance(['km' => 180], ['vehicle.km_per_kwh' => null]);
        self::assertSame([null, ['km_per_kwh']], [$unread->totals->minutes, array_map(static fn ($u): string => $u->path, $unread->missing)]);
    }

    public function test_what_is_no_distance_and_no_preparation_is_refused_by_its_path(): void
    {
        foreach (['conditions.distance.km' => ['distance' => []], 'conditions.distance.reserve_soc' => ['distance' => ['km' => 5, 'reserve_soc' => 101]], 'conditions.pack_prepared' => ['pack_prepared' => -1], 'conditions.faults.neighbour_leaves_at_minute' => ['faults' => ['neighbour_leaves_at_minute' => 'soon']]] as $path => $conditions) {
            try {
                Cases::read(Cases::file(case: ['conditions' => $conditions]));
                self::fail($path);
            } catch (FieldError $e) {
                self::assertSame($path, $e->path);
            }
        }
    }

    /** A cabinet of 100 kW in halves: 50 kW beside the neighbour, 100 kW without. */
    public function test_a_neighbour_leaves_again(): void
    {
        $kw = static fn (bool $isThere, array $faults, float $minute): float => round(self::at(self::forecast([
            'outlet.cabinet' => ['kw' => 100, 'policy' => 'halves', 'partner_active' => $isThere], 'conditions.pack_prepared' => true, 'conditions.faults' => $faults,
        ]), 60 * $minute)->flow->kw, 6);
        $leaves = ['neighbour_leaves_at_minute' => 8];
        $comesAndLeaves = ['neighbour_at_minute' => 4, 'neighbour_leaves_at_minute' => 8];
        $comesAgain = ['neighbour_at_minute' => 12, 'neighbour_leaves_at_minute' => 8];

        self::assertSame([50.0, 100.0], [$kw(true, $leaves, 7), $kw(true, $leaves, 9)]);
        self::assertSame([100.0, 50.0, 100.0], [$kw(false, $comesAndLeaves, 3), $kw(false, $comesAndLeaves, 7), $kw(false, $comesAndLeaves, 9)]);
        self::assertSame([50.0, 100.0, 50.0], [$kw(true, $comesAgain, 7), $kw(true, $comesAgain, 9), $kw(true, $comesAgain, 14)]);
        self::assertSame([50.0, 50.0], [$kw(true, [], 7), $kw(true, [], 30)]);
        self::assertSame(100.0, $kw(true, ['neighbour_leaves_at_minute' => 0], 2));
        self::assertSame(100.0, $kw(false, $leaves, 9));
    }

    /** @param  array<string, mixed>  $changes */
    private static function forecast(array $changes = [], Forecaster $forecaster = new Forecaster): Forecast
    {
        $case = Cases::read(Cases::file(case: ['vehicle.pack.usable_kwh' => 75, 'vehicle.pack.heater_kw' => 6, 'conditions.pack_c' => 10, 'conditions.pack_prepared' => false, ...$changes]));

        return $forecaster->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
    }

    /** The step that holds this moment begins at it or before. */
    private static function at(Forecast $forecast, float $tS): Step
    {
        $before = array_filter($forecast->course->points, static fn (Step $s): bool => $s->tS <= $tS + 1e-6);

        return $before[count($before) - 1];
    }

    private static function soc(Forecast $forecast, float $soc): float
    {
        return self::near($forecast, $soc)->soc;
    }

    private static function packC(Forecast $forecast, float $soc): float
    {
        return self::near($forecast, $soc)->heat->packC ?? 0.0;
    }

    private static function near(Forecast $forecast, float $soc): Step
    {
        $points = $forecast->course->points;
        usort($points, static fn (Step $a, Step $b): int => abs($a->soc - $soc) <=> abs($b->soc - $soc));

        return $points[0];
    }
}
