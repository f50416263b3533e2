<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Review\Difference;
use Harmozon\Core\Review\PowerRatio;
use PHPUnit\Framework\TestCase;

/** The 90 % interval is what it says. HARMOZON_PAIRS=100 compares 400 pairs instead of 160, for a long round. */
final class PowerRatioTest extends TestCase
{
    /** Of pairs of a known scale it holds the truth in 85 to 95 of 100; of pairs without a difference one is said in 2 at the most. */
    public function test_it_holds_the_truth_as_often_as_it_says(): void
    {
        $holds = $wrong = $all = 0;
        foreach ([10, 60] as $everyS) {
            foreach ([0.01, 0.02] as $noise) {
                for ($seed = 0; $seed < max(40, (int) getenv('HARMOZON_PAIRS')); $seed++) {
                    $pair = new ScaledPair(1000 * $everyS + $seed, $everyS, $noise);
                    $ratio = $pair->comparison()->ratio;
                    $holds += $ratio !== null && $ratio->low <= $pair->scale && $pair->scale <= $ratio->high ? 1 : 0;
                    $none = (new ScaledPair(50_000 + 1000 * $everyS + $seed, $everyS, $noise, 1.0))->comparison()->answer;
                    $wrong += $none === Difference::Faster || $none === Difference::Slower ? 1 : 0;
                    $all++;
                }
            }
        }

        self::assertGreaterThanOrEqual(0.85 * $all, $holds);
        self::assertLessThanOrEqual(0.95 * $all, $holds);
        self::assertLessThanOrEqual(0.02 * $all, $wrong);
    }

    /**
     * Two blocks whose ratios are 0.9 and 1.1: 90 of 100 samples lie from the one to the other. With one degree of freedom they are
     * widened 6.314 / 1.645 · √2 times (logarithms).
     */
    public function test_few_blocks_widen_it(): void
    {
        $ratio = PowerRatio::of([...array_fill(0, 5, [90.0, 100.0]), ...array_fill(0, 5, [110.0, 100.0])]);
        $wide = 6.314 / 1.645 * sqrt(2);

        self::assertEqualsWithDelta([1.0, 0.9 ** $wide, 1.1 ** $wide], [$ratio->value, $ratio->low, $ratio->high], 1e-9);
    }

    /** Equal blocks leave what the steps of the charge leave: 1.645 standard deviations. */
    public function test_the_steps_of_the_charge_widen_it(): void
    {
        $ratio = PowerRatio::of(array_fill(0, 20, [90.0, 100.0]), ofCharge: 0.01);

        self::assertEqualsWithDelta([0.9, 0.9 * exp(-0.01645), 0.9 * exp(0.01645)], [$ratio->value, $ratio->low, $ratio->high], 1e-9);
    }

    /** A block is as long as four readings: twelve percent each of two halves that differ are two blocks, not eight. */
    public function test_a_block_holds_four_readings(): void
    {
        $pairs = [...array_fill(0, 12, [90.0, 100.0]), ...array_fill(0, 12, [110.0, 100.0])];
        $wide = 6.314 / 1.645 * sqrt(2);

        self::assertEqualsWithDelta(0.9 ** $wide, PowerRatio::of($pairs, percentPerReading: 3.0)->low, 1e-9);
        self::assertGreaterThan(0.8, PowerRatio::of($pairs)->low);
    }

    /** Clear of none by 2.054 standard deviations, not by 1.645: 4 % less, ± 3.5 % or ± 3 %. */
    public function test_a_difference_is_said_where_it_is_sure(): void
    {
        $at = static fn (float $doubt): Difference => PowerRatio::of(array_fill(0, 20, [96.0, 100.0]), ofCharge: $doubt)->difference();

        self::assertSame([Difference::Slower, Difference::CannotTell], [$at(0.0195), $at(0.0205)]);
        self::assertSame(Difference::NoDifference, PowerRatio::of(array_fill(0, 20, [100.0, 100.0]), ofCharge: 0.017)->difference());
    }
}
