<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** The ratio of two sessions' power over the same charge, with its confidence interval. */
final readonly class PowerRatio
{
    /** Bootstrap: how many samples are drawn, of blocks of BLOCK_PERCENT of charge; the interval holds the share HOLDS of them. */
    private const SAMPLES = 1000;

    private const BLOCK_PERCENT = 5;

    private const HOLDS = 0.9;

    /** The same samples on every machine and every day. */
    private const SEED = 14;

    /** Below this a difference counts as none (share). */
    private const NO_DIFFERENCE = 0.03;

    /** Rounding of shares. */
    private const SAME = 1e-9;

    /**
     * 95 % points of Student's distribution for 1 to 30 degrees of freedom: from few blocks their spread is known badly. Beyond,
     * that of the normal distribution.
     */
    private const T_95 = [
        6.314, 2.920, 2.353, 2.132, 2.015, 1.943, 1.895, 1.860, 1.833, 1.812, 1.796, 1.782, 1.771, 1.761, 1.753, 1.746, 1.740, 1.734, 1.729, 1.725, 1.721, 1.717, 1.714, 1.711, 1.708, 1.706, 1.703, 1.701, 1.699, 1.697,
    ];

    private const NORMAL_95 = 1.645;

    /** A difference is claimed where the 96 % interval excludes none, so at most 2 claims in 100 are wrong. */
    private const SURE = 2.054 / self::NORMAL_95;

    /** The fewest readings in a block: neighbours share those at its ends. */
    private const READINGS_A_BLOCK = 4.0;

    /**
     * @param  float  $low  of the 90 % interval
     * @param  float  $high  of the 90 % interval
     */
    private function __construct(public float $value, public float $low, public float $high)
    {
    }

    /**
     * @param  non-empty-list<array{float, float}>  $pairs  kW with and without, percent by percent
     * @param  float  $percentPerReading  charge between two readings, of the session that was read less often
     * @param  float  $ofCharge  standard deviation that the steps of the charge's own readings give the ratio (share)
     */
    public static function of(array $pairs, float $percentPerReading = 0.0, float $ofCharge = 0.0): self
    {
        $length = min(count($pairs), max(self::BLOCK_PERCENT, (int) ceil(self::READINGS_A_BLOCK * $percentPerReading)));
        $blocks = array_chunk($pairs, $length);
        $sums = array_map(static fn (array $block): array => [array_sum(array_column($block, 0)), array_sum(array_column($block, 1))], $blocks);
        $random = new Randomizer(new Mt19937(self::SEED));
        $last = count($sums) - 1;
        $ratios = [];
        for ($sample = 0; $sample < self::SAMPLES; $sample++) {
            $drawn = [];
            for ($i = 0; $i <= $last; $i++) {
                $drawn[] = $sums[$random->getInt(0, $last)];
            }
            $ratios[] = self::ratio($drawn);
        }
        sort($ratios);
        $outside = (int) round(self::SAMPLES * (1 - self::HOLDS) / 2);
        $value = self::ratio($sums);
        [$low, $high] = [self::width($value / max($ratios[$outside], self::SAME), $last, $ofCharge), self::width($ratios[self::SAMPLES - 1 - $outside] / max($value, self::SAME), $last, $ofCharge)];

        return new self($value, $value * exp(-$low), $value * exp($high));
    }

    /**
     * Distance from the ratio to one end of the interval (logarithm): as sampled, widened for few blocks and for the
     * steps in which charge is read.
     */
    private static function width(float $times, int $freedom, float $ofCharge): float
    {
        $few = $freedom < 1 ? 1.0 : (self::T_95[$freedom - 1] ?? self::NORMAL_95) / self::NORMAL_95 * sqrt(($freedom + 1) / $freedom);

        return hypot($few * max(0.0, log(max($times, self::SAME))), self::NORMAL_95 * $ofCharge);
    }

    public function difference(): Difference
    {
        $value = max($this->value, self::SAME);
        [$surelyLow, $surelyHigh] = [$value * ($this->low / $value) ** self::SURE, $value * ($this->high / $value) ** self::SURE];

        return match (true) {
            $this->value <= 0.0 => Difference::CannotTell,
            $this->low >= 1 - self::NO_DIFFERENCE - self::SAME && $this->high <= 1 + self::NO_DIFFERENCE + self::SAME => Difference::NoDifference,
            $surelyHigh < 1 => Difference::Slower,
            $surelyLow > 1 => Difference::Faster,
            default => Difference::CannotTell,
        };
    }

    /** @param  list<array{float|int, float|int}>  $sums */
    private static function ratio(array $sums): float
    {
        $without = array_sum(array_column($sums, 1));

        return $without > 0 ? array_sum(array_column($sums, 0)) / $without : 1.0;
    }
}
