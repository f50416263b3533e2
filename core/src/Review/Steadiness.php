<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** How long a figure stays level, by half-minute means compared with the instrument's scatter. */
final readonly class Steadiness
{
    /** Means over this long are compared with the level (s). */
    private const MEAN_S = 30.0;

    /** A figure is level within this share of its median, or, with a noisier instrument, within STANDARD_ERRORS. */
    private const LEVEL_SHARE = 0.02;

    private const STANDARD_ERRORS = 2.0;

    /** On each side. */
    private const NEIGHBOURS = 2;

    /** The median distance from the mean of four neighbours, in standard deviations of one value (normal scatter): 0.6745 √(1 + 1/4). */
    private const MEDIAN_OFF = 0.7541;

    private const SAME = 1e-9;

    /**
     * @param  float|null  $level  the median; null when nothing was read
     * @param  float  $longestS  the longest time at the level without a break
     * @param  float  $totalS  all of the time at the level
     */
    private function __construct(public ?float $level, public float $longestS, public float $totalS)
    {
    }

    /**
     * @param  list<ReferencePoint>  $referencePoints
     * @param  \Closure(ReferencePoint): (float|null)  $value
     */
    public static function of(array $referencePoints, \Closure $value): self
    {
        $values = array_map($value, $referencePoints);
        $level = Median::of($values);
        if ($level === null || $level <= 0.0) {
            return new self($level, 0.0, 0.0);
        }
        $scatter = self::scatter($values);
        $longest = $total = $run = 0.0;
        foreach (self::means($referencePoints, $values) as [$mean, $count, $seconds]) {
            $within = max(self::LEVEL_SHARE * $level, self::STANDARD_ERRORS * $scatter / sqrt($count));
            $run = abs($mean - $level) <= $within * (1 + self::SAME) ? $run + $seconds : 0.0;
            $total += $run > 0.0 ? $seconds : 0.0;
            $longest = max($longest, $run);
        }

        return new self($level, $longest, $total);
    }

    /**
     * The standard deviation of one value, from its distance to the mean of its neighbours, so that a slow change
     * doesn't count as scatter.
     *
     * @param  list<float|null>  $values
     */
    public static function scatter(array $values): float
    {
        $known = array_values(array_filter($values, static fn (?float $v): bool => $v !== null));
        $off = [];
        for ($i = self::NEIGHBOURS; $i < count($known) - self::NEIGHBOURS; $i++) {
            $around = [...array_slice($known, $i - self::NEIGHBOURS, self::NEIGHBOURS), ...array_slice($known, $i + 1, self::NEIGHBOURS)];
            $off[] = abs($known[$i] - array_sum($around) / count($around));
        }

        return (Median::of($off) ?? 0.0) / self::MEDIAN_OFF;
    }

    /**
     * @param  list<ReferencePoint>  $referencePoints
     * @param  list<float|null>  $values
     * @return list<array{float, int, float}> mean, how many values it is made of, seconds
     */
    private static function means(array $referencePoints, array $values): array
    {
        $means = [];
        $sum = $seconds = 0.0;
        $count = 0;
        foreach ($referencePoints as $i => $referencePoint) {
            if ($values[$i] !== null) {
                $sum += $values[$i];
                $count++;
            }
            $seconds += $referencePoint->seconds();
            if ($seconds >= self::MEAN_S - self::SAME && $count > 0) {
                $means[] = [$sum / $count, $count, $seconds];
                $sum = $seconds = 0.0;
                $count = 0;
            }
        }

        return $count > 0 ? [...$means, [$sum / $count, $count, $seconds]] : $means;
    }
}
