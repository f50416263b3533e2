<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Record;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Judgement;
use Harmozon\Core\Record\PlateRow;
use Harmozon\Core\Record\PlateState;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** A forecast and the check of a session look at the same plate. */
final class PlannedSessionTest extends TestCase
{
    use TestTrait;

    public function test_a_forecast_never_plans_what_the_check_would_fail(): void
    {
        $this->limitTo(60)->forAll(Generators::choose(120, 400), Generators::choose(0, 200), Generators::choose(2, 30), Generators::choose(-20, 60), Generators::choose(50, 100), Generators::elements([0.0, 0.7, 0.95, 1.0]))
            ->then(static function (int $continuousA, int $more, int $minutes, int $ambient, int $left, float $theta): void {
                [$forecast, $judgement] = self::acted(self::file([
                    'adapters.0.plate.continuous_a' => $continuousA, 'adapters.0.plate.boost_a' => $more === 0 ? null : $continuousA + $more,
                    'adapters.0.plate.boost_minutes' => $more === 0 ? null : $minutes,
                    'conditions.ambient_c' => $ambient, 'conditions.ageing' => $left / 100, 'conditions.theta' => ['a1' => $theta],
                ]));

                self::assertNotNull($forecast->totals->minutes);
                self::assertSame([], array_filter($judgement->plateCheck, static fn (PlateRow $r): bool => $r->state === PlateState::Over), Say::all($judgement->findings));
            });
    }

    public function test_part_of_a_boost_is_planned_for_no_longer_than_the_plates_minutes(): void
    {
        // The station holds the amps at 350: by heat alone the 300 A adapter would bear them for 44.6 min.
        [$forecast, $judgement] = self::acted(self::file(['outlet.max_a' => 350, 'vehicle.pack.usable_kwh' => 140]));
        $adapter = $forecast->course->heat[1];

        self::assertSame('a1', $adapter->link->linkId);
        // 45 s of handshake, and 9.6 s of a ramp to 300 A at 320 V, before the minutes count.
        self::assertEqualsWithDelta(15.91, $adapter->fullAtMinute, 0.01);
        self::assertEqualsWithDelta(15.0, $judgement->measured->duties['a1']->minutesOverContinuous(), 0.1);
    }

    public function test_a_dead_pump_counts_in_the_check_as_in_the_forecast(): void
    {
        $rows = static function (array $changes): array {
            [$forecast, $judgement] = self::acted(self::file(['outlet.coupler' => 'ccs1', ...$changes]));

            return [
                round(max(array_map(static fn ($p): float => $p->flow->amps, $forecast->course->points)), 1),
                ...array_map(static fn (PlateRow $r): ?float => $r->limit(), array_values(array_filter($judgement->plateCheck, static fn (PlateRow $r): bool => $r->link->id === 'cable' && $r->quantity->value === 'a'))),
            ];
        };

        self::assertSame(500.0, $rows([])[1]);
        self::assertSame([200.0, 200.0], $rows(['outlet.cable.cooling_failed' => true]));
        self::assertSame([200.0, 200.0], $rows(['conditions.faults' => ['cooling_failed' => true]]));
        self::assertSame([120.0, 120.0], $rows(['outlet.cable.cooling_failed' => true, 'outlet.cable.dry_a' => 120]));
        self::assertSame([150.0, 150.0], $rows(['outlet.cable.cooling_failed' => true, 'outlet.cable.continuous_a' => 150]));
        // A cable without a coolant has none to lose.
        self::assertSame(500.0, $rows(['outlet.cable.cooled' => false, 'conditions.faults' => ['cooling_failed' => true]])[1]);
    }

    public function test_wear_takes_from_adapters_and_dry_cables_in_both(): void
    {
        $thetas = static function (array $changes): array {
            [$forecast, $judgement] = self::acted(self::file(['outlet.max_a' => 290, 'outlet.cable.continuous_a' => 300, ...$changes]));

            return [round($forecast->course->heat[0]->link->duty->effectiveA), round($forecast->course->heat[1]->link->duty->effectiveA), $judgement->measured->duties['cable']->thetaMax(), $judgement->measured->duties['a1']->thetaMax()];
        };
        [$cableA, $adapterA, $cable, $adapter] = $thetas([]);
        self::assertSame([300.0, 300.0], [$cableA, $adapterA]);

        // A cooled cable: the adapter alone has worn.
        [$cableA, $adapterA, $worn, $wornAdapter] = $thetas(['conditions.ageing' => 0.8, 'outlet.cable.ageing' => 0.5]);
        self::assertSame([300.0, 240.0], [$cableA, $adapterA]);
        self::assertEqualsWithDelta($cable, $worn, 1e-9);
        self::assertGreaterThan(1.3 * $adapter, $wornAdapter);

        // Without its coolant, and as a dry cable, it has worn by both.
        self::assertSame(80.0, $thetas(['conditions.ageing' => 0.8, 'outlet.cable.ageing' => 0.5, 'outlet.cable.cooling_failed' => true])[0]);
        self::assertSame(120.0, $thetas(['conditions.ageing' => 0.8, 'outlet.cable.ageing' => 0.5, 'outlet.cable.cooled' => false])[0]);
    }

    /**
     * @param  array<string, mixed>  $file
     * @return array{Forecast, Judgement} a forecast, and the check of readings that follow it to the point
     */
    private static function acted(array $file): array
    {
        $case = Cases::read($file);
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $forecast = (new Forecaster)->forecast($answer, $case->conditions);
        $judge = new Judge($answer, $case->conditions);
        foreach ($forecast->course->points as $point) {
            $judge->add(new Reading((int) round(1000 * $point->tS), $point->soc, $point->flow->volts, $point->flow->amps, $point->flow->kw));
        }

        return [$forecast, $judge->judgement()];
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed> a car that takes 150 kW all the way, through an adapter of 300 A, 500 A for 15 minutes
     */
    private static function file(array $changes): array
    {
        return Cases::changed(Cases::file(['charge_curve_kw' => [[0, 150], [100, 150]]], ['coupler' => 'j3400'], [['plate.continuous_a' => 300]]), $changes);
    }
}
