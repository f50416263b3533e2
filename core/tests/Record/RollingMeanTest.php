<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Record;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Record\RollingMean;
use PHPUnit\Framework\TestCase;

final class RollingMeanTest extends TestCase
{
    use TestTrait;

    public function test_a_step_down_is_caught_between_readings(): void
    {
        $mean = new RollingMean(60);
        foreach ([[0, 100], [30, 300], [90, 300], [120, 100]] as [$t, $v]) {
            $mean->add($t, $v);
        }
        self::assertEqualsWithDelta(300.0, $mean->highest(), 1e-9);
    }

    public function test_a_peak_between_readings_is_found_where_both_ends_are_equal(): void
    {
        // A triangle 0 → 120 → 0 over 120 s: the best minute runs from 30 s to 90 s, mean 90.
        $mean = new RollingMean(60);
        foreach ([[0, 0], [60, 120], [120, 0]] as [$t, $v]) {
            $mean->add($t, $v);
        }
        self::assertEqualsWithDelta(90.0, $mean->highest(), 1e-9);
    }

    /** What is passed over uses up what is left until a window must be looked at again. */
    public function test_a_slow_climb_after_a_long_valley_is_found(): void
    {
        $mean = new RollingMean(600);
        $t = 0;
        foreach ([[600, 300], [700, 200], [1536, 220], [1300, 320]] as [$seconds, $value]) {
            for ($until = $t + $seconds; $t < $until; $t++) {
                $mean->add($t, $value);
            }
        }
        self::assertEqualsWithDelta(320.0, $mean->highest(), 1e-9);
    }

    public function test_shorter_than_the_window_says_nothing(): void
    {
        $mean = new RollingMean(600);
        $mean->add(0, 100);
        $mean->add(599, 100);
        self::assertNull($mean->highest());
        $mean->add(600, 100);
        self::assertEqualsWithDelta(100.0, $mean->highest(), 1e-9);
    }

    public function test_an_interruption_begins_a_new_window(): void
    {
        $mean = new RollingMean(60);
        $mean->add(0, 100);
        $mean->add(50, 100);
        $mean->interrupt();
        $mean->add(200, 100);
        $mean->add(255, 100);
        self::assertNull($mean->highest());
    }

    public function test_agrees_with_summing_every_second(): void
    {
        $this->limitTo(25)->forAll(Generators::vector(40, Generators::choose(0, 400)), Generators::choose(2, 20))
            ->then(static function (array $values, int $gap): void {
                $mean = new RollingMean(60);
                $line = [];
                foreach ($values as $i => $v) {
                    $mean->add($i * $gap, $v);
                    for ($s = 0; $s < $gap && $i + 1 < count($values); $s++) {
                        $line[] = [$v + ($values[$i + 1] - $v) * $s / $gap, $v + ($values[$i + 1] - $v) * ($s + 1) / $gap];
                    }
                }
                $best = null;
                for ($start = 0; $start + 60 <= count($line); $start++) {
                    $sum = 0.0;
                    for ($s = $start; $s < $start + 60; $s++) {
                        $sum += ($line[$s][0] + $line[$s][1]) / 2;
                    }
                    $best = max($best ?? 0.0, $sum / 60);
                }
                if ($best === null) {
                    self::assertNull($mean->highest());
                } else {
                    self::assertGreaterThanOrEqual($best - 1e-6, $mean->highest());
                    self::assertEqualsWithDelta($best, $mean->highest(), 2.0);
                }
            });
    }
}
