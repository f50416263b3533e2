<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Power;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Equipment\ImpossibleValue;
use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Power\ColdFactor;
use Harmozon\Core\Power\Duty;
use PHPUnit\Framework\TestCase;

final class DutyTest extends TestCase
{
    public function test_cold_air_never_lifts_a_piece_above_its_plate(): void
    {
        // At 0 °C 250 A could be 250 √(90 / 65) = 294 A; the plate says 250.
        $plain = Duty::of(Plate::of(continuousA: 250), 0.0) ?? throw new \LogicException;
        self::assertSame([250.0, 250.0, 250.0], [$plain->effectiveA, $plain->allowsA(0.0), $plain->allowsA(1.0)]);

        self::assertSame(250.0, self::duty(-30)->effectiveA);
        self::assertEqualsWithDelta(15.0, self::duty(-30)->fullBoostMinutes(0.0), 1e-9);
    }

    public function test_a_full_boost_ends_by_heat_or_by_its_minutes_whichever_is_first(): void
    {
        // At 45 °C by heat, as worked out in the standard example; a cable in perfect coolant never sees its minutes shrink.
        self::assertEqualsWithDelta(9.5, self::duty(45)->fullBoostMinutes(0.0), 0.06);
        self::assertEqualsWithDelta(15.0, self::duty()->fullBoostMinutes(0.0), 1e-9);
        self::assertSame(0.0, self::duty()->fullBoostMinutes(1.0));
        // From a load of 0.5 at 400 A: τ ln((2.56 − 0.5) / (2.56 − 1)) = 30.28 × 0.2780.
        self::assertEqualsWithDelta(8.42, self::duty()->fullBoostMinutes(0.5), 0.01);
        self::assertInfinite((Duty::of(Plate::of(continuousA: 200), 25.0) ?? throw new \LogicException)->fullBoostMinutes(0.0));
    }

    use TestTrait;

    private static function duty(?float $ambientC = null, float $ageing = 1.0, bool $cooled = false): Duty
    {
        return Duty::of(Plate::of(continuousA: 250, boostA: 400, boostMinutes: 15), $ambientC, $ageing, $cooled) ?? throw new \LogicException;
    }

    public function test_worked_example_400_amps_for_15_minutes_then_250(): void
    {
        self::assertEqualsWithDelta(30.3, self::duty()->tauMinutes, 0.05);
        self::assertEqualsWithDelta(15.0, self::duty()->minutesUntilFull(0, 400), 1e-9);
        self::assertEqualsWithDelta(208.0, self::duty(45)->effectiveA, 0.05);
        self::assertEqualsWithDelta(9.5, self::duty(45)->minutesUntilFull(0, 400), 0.06);
    }

    public function test_below_full_load_it_allows_boost_and_at_full_load_continuous(): void
    {
        self::assertSame(400.0, self::duty()->allowsA(0.99));
        self::assertSame(250.0, self::duty()->allowsA(1.0));
    }

    public function test_what_is_full_already_takes_no_time_to_fill(): void
    {
        self::assertSame([0.0, 0.0, 0.0], [self::duty()->minutesUntilFull(1.0, 400), self::duty()->minutesUntilFull(1.5, 400), self::duty()->minutesUntilFull(1.5, 100)]);
        self::assertSame(0.0, self::duty()->fullBoostMinutes(1.0));
    }

    public function test_a_plate_without_boost_has_twenty_minutes_and_one_current(): void
    {
        $duty = Duty::of(Plate::of(continuousA: 200), 25.0) ?? throw new \LogicException;

        self::assertSame(20.0, $duty->tauMinutes);
        self::assertSame(200.0, $duty->allowsA(0.0));
        self::assertInfinite($duty->minutesUntilFull(0, 200));
        self::assertNull(Duty::of(Plate::of(maxV: 500), 25.0));
    }

    public function test_a_cooled_cable_does_not_mind_the_ambient_but_an_old_one_its_age(): void
    {
        self::assertSame(250.0, self::duty(45, cooled: true)->effectiveA);
        self::assertSame(225.0, self::duty(25, 0.9)->effectiveA);
        self::assertSame(0.0, self::duty(95)->allowsA(0));
        // It may carry nothing: what it carries all the same is beyond any load, and at rest it cools.
        self::assertSame([0.5, 0.0, INF], [round(self::duty(95)->after(1.0, 0.0, self::duty(95)->tauMinutes * log(2)), 9), self::duty(95)->minutesUntilFull(0.0, 1.0) < 0.001 ? 0.0 : 1.0, self::duty(95)->minutesUntilFull(0.0, 0.0)]);
    }

    public function test_two_short_steps_warm_as_one_long_one_and_heat_decays(): void
    {
        $this->forAll(Generators::choose(0, 500), Generators::choose(0, 100), Generators::choose(1, 60))
            ->then(static function (int $amps, int $percent, int $minutes): void {
                $duty = self::duty();
                $start = $percent / 100;

                self::assertEqualsWithDelta($duty->after($start, $amps, $minutes), $duty->after($duty->after($start, $amps, $minutes / 3), $amps, $minutes * 2 / 3), 1e-9);
                self::assertLessThanOrEqual($start, $duty->after($start, 0, $minutes));
            });
    }

    public function test_a_hotter_day_never_lengthens_a_boost(): void
    {
        $this->forAll(Generators::choose(-20, 70), Generators::choose(0, 20), Generators::choose(260, 400))
            ->then(static function (int $ambientC, int $hotter, int $amps): void {
                self::assertLessThanOrEqual(
                    self::duty($ambientC)->minutesUntilFull(0, $amps),
                    self::duty($ambientC + $hotter)->minutesUntilFull(0, $amps),
                );
            });
    }

    public function test_impossible_plates_name_their_field(): void
    {
        $fields = [];
        foreach ([[null, 300.0, 200.0, 5.0], [null, 200.0, 300.0, null], [null, 200.0, null, null, null, 90.0, 80.0]] as $figures) {
            try {
                Plate::of(...$figures);
            } catch (ImpossibleValue $e) {
                $fields[] = $e->field;
            }
        }
        self::assertSame(['boost_a', 'boost_minutes', 'limit_c'], $fields);
    }

    public function test_cold_factor_at_its_corners_and_between(): void
    {
        foreach ([40 => 1.0, 25 => 1.0, 0 => 0.35, -15 => 0.15, -30 => 0.15, 10 => 0.61, -6 => 0.27, -12 => 0.19] as $celsius => $factor) {
            self::assertEqualsWithDelta($factor, ColdFactor::at($celsius), 1e-9, "{$celsius} °C");
        }
    }
}
