<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Power;

use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\Duty;
use Harmozon\Core\Power\HeatLink;
use Harmozon\Core\Power\HeatState;
use PHPUnit\Framework\TestCase;

/** A plate of 300 A continuous and 500 A for 15 minutes: τ = −15 / ln(1 − 0.36) = 33.6 min. */
final class HeatStateTest extends TestCase
{
    public function test_a_part_of_the_boost_lasts_no_longer_than_the_plate_says(): void
    {
        // At 350 A the load ends at 1.361: it would be full only after 33.6 × ln(1.361 / 0.361) = 44.6 min.
        $state = self::state();
        self::assertSame(500.0, $state->allowsA());
        self::assertEqualsWithDelta(15 * 60.0, $state->secondsUntilSpent(350, 3600), 1e-6);
        self::assertSame(600.0, $state->secondsUntilSpent(350, 600));

        self::assertFalse($state->take(350 ** 2, 350, 350, 14 * 60));
        self::assertEqualsWithDelta(60.0, $state->secondsUntilSpent(350, 3600), 1e-6);
        self::assertTrue($state->take(350 ** 2, 350, 350, 60));
        self::assertSame([true, 300.0], [$state->isSpent, $state->allowsA()]);
        self::assertLessThan(0.5, $state->theta);
    }

    public function test_heat_may_end_it_sooner(): void
    {
        $state = self::state(theta: 0.8);

        // 33.6 × ln((2.778 − 0.8) / (2.778 − 1)) = 3.59 min.
        self::assertEqualsWithDelta(3.59 * 60, $state->secondsUntilSpent(500, 3600), 0.5);
        $state->take(500 ** 2, 500, 500, 3.6 * 60);
        self::assertTrue($state->isSpent);
    }

    public function test_only_the_time_above_continuous_counts(): void
    {
        $state = self::state();
        $state->take(300 ** 2, 300, 300, 20 * 60);
        self::assertEqualsWithDelta(15 * 60.0, $state->secondsUntilSpent(310, 7200), 1e-6);

        // A straight line from 200 A to 400 A lies above 300 A for half of its time, and so does one back.
        $state->take(280 ** 2, 200, 400, 8 * 60);
        $state->take(280 ** 2, 400, 200, 8 * 60);
        self::assertEqualsWithDelta(7 * 60.0, $state->secondsUntilSpent(310, 7200), 1e-3);
    }

    public function test_a_rest_gives_the_minutes_back_once_the_load_falls_below_a_half(): void
    {
        $state = self::state(theta: 0.9);
        $state->take(310 ** 2, 310, 310, 10 * 60);
        self::assertEqualsWithDelta(5 * 60.0, $state->secondsUntilSpent(310, 7200), 1.0);

        $state->take(0.0, 0.0, 0.0, 12 * 60);
        self::assertGreaterThan(0.5, $state->theta);
        self::assertEqualsWithDelta(5 * 60.0, $state->secondsUntilSpent(310, 7200), 1.0);

        $state->take(0.0, 0.0, 0.0, 15 * 60);
        self::assertLessThan(0.5, $state->theta);
        self::assertEqualsWithDelta(15 * 60.0, $state->secondsUntilSpent(310, 7200), 1.0);
    }

    public function test_a_piece_that_starts_full_or_has_no_boost(): void
    {
        self::assertTrue(self::state(theta: 1.0)->isSpent);
        self::assertSame(300.0, self::state(theta: 1.0)->allowsA());

        $plain = new HeatState(new HeatLink(BindingCode::CableCurrent, 'cable', Duty::of(Plate::of(continuousA: 300), 25) ?? throw new \LogicException, 0.0));
        self::assertFalse($plain->take(300 ** 2, 300, 300, 3600));
        self::assertSame(3600.0, $plain->secondsUntilSpent(300, 3600));
    }

    private static function state(float $theta = 0.0): HeatState
    {
        return new HeatState(new HeatLink(
            BindingCode::AdapterCurrent, 'a1', Duty::of(Plate::of(continuousA: 300, boostA: 500, boostMinutes: 15), 25) ?? throw new \LogicException, $theta,
        ));
    }
}
