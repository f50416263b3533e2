<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Trust;

use Harmozon\Core\Review\Median;

/** A figure's trend from session to session: Theil-Sen slope with Kendall's confidence interval. */
final readonly class Slope
{
    /** The fewest sessions from which a slope is shown. */
    public const FEWEST = 5;

    /** Of the normal distribution, for an interval of 90 %. */
    private const Z = 1.6449;

    private function __construct(public float $perSession, public float $low, public float $high, private float $at0)
    {
    }

    /**
     * @param  list<float>  $values  session by session
     * @return self|null null when they are too few to tell
     */
    public static function of(array $values): ?self
    {
        $n = count($values);
        if ($n < self::FEWEST) {
            return null;
        }
        $slopes = self::slopes($values);
        $pairs = count($slopes);
        $c = self::Z * sqrt(self::variance($values));
        $slope = Median::of($slopes);

        return new self(
            $slope,
            self::ranked($slopes, ($pairs - $c) / 2),
            self::ranked($slopes, ($pairs + $c) / 2 + 1),
            Median::of(array_map(static fn (int $i): float => $values[$i] - $slope * $i, array_keys($values))),
        );
    }

    /**
     * Slopes between every two points.
     *
     * @param  list<float>  $values
     * @return non-empty-list<float> sorted
     */
    private static function slopes(array $values): array
    {
        $slopes = [];
        foreach ($values as $j => $later) {
            for ($i = 0; $i < $j; $i++) {
                $slopes[] = ($later - $values[$i]) / ($j - $i);
            }
        }
        sort($slopes);

        return $slopes !== [] ? $slopes : throw new \LogicException('two values at least');
    }

    /**
     * The range of the line at the first and the last of so many sessions, with both slopes through its middle.
     *
     * @return array{array{float, float}, array{float, float}} least and most, there and there
     */
    public function band(int $sessions): array
    {
        $half = ($sessions - 1) / 2;
        $middle = $this->at0 + $this->perSession * $half;

        return [[$middle - $this->high * $half, $middle - $this->low * $half], [$middle + $this->low * $half, $middle + $this->high * $half]];
    }

    /** The value of the line a number of sessions after the first. */
    public function after(int $sessions): float
    {
        return $this->at0 + $this->perSession * $sessions;
    }

    /**
     * Variance of Kendall's sum, reduced for ties.
     *
     * @param  list<float>  $values
     */
    private static function variance(array $values): float
    {
        $of = static fn (int $n): float => $n * ($n - 1) * (2 * $n + 5);
        $ties = array_sum(array_map($of, array_count_values(array_map(strval(...), $values))));

        return max(0.0, ($of(count($values)) - $ties) / 18);
    }

    /**
     * The value at a rank from 1, straight between two of them.
     *
     * @param  non-empty-list<float>  $sorted
     */
    private static function ranked(array $sorted, float $rank): float
    {
        $rank = max(1.0, min((float) count($sorted), $rank));
        $below = (int) floor($rank);
        $above = min($below + 1, count($sorted));

        return $sorted[$below - 1] + ($rank - $below) * ($sorted[$above - 1] - $sorted[$below - 1]);
    }
}
