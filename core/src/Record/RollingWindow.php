<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** A window that slides along a RollingMean's readings, and its highest mean. */
final class RollingWindow
{
    public ?float $highest = null;

    /** The last reading that is not after the beginning of the window when it was last looked at. */
    private int $start = 0;

    /** How far the mean may still rise before it could be a new highest. */
    private float $room = 0.0;

    public function __construct(private readonly float $lengthS)
    {
    }

    /** Starts a new interval. */
    public function begin(): void
    {
        $this->start = 0;
        $this->room = 0.0;
    }

    /**
     * Passes over readings. The mean changes by the difference of the values at the two ends of the window, over its
     * length: it is worked out only where it could have risen above the highest since it was worked out last.
     *
     * @param  list<float>  $tS
     * @param  list<float>  $value
     * @param  list<float>  $integral
     * @param  int  $first  the first reading to pass over
     * @param  float  $lowest  no value of the interval is lower
     * @param  float  $most  none of those readings, nor the one before them, is higher
     */
    public function pass(array $tS, array $value, array $integral, int $first, float $beganS, float $lowest, float $most): void
    {
        $last = count($tS) - 1;
        if ($first > $last) {
            return;
        }
        $mostRise = ($most - $lowest) * ($tS[$last] - $tS[$first - 1]) / $this->lengthS;
        if ($this->room > $mostRise) {
            $this->room -= $mostRise;

            return;
        }
        $firstEndS = $beganS + $this->lengthS;
        for ($i = $first; $i <= $last; $i++) {
            $higher = $value[$i] > $value[$i - 1] ? $value[$i] : $value[$i - 1];
            $this->room -= ($higher - $lowest) * ($tS[$i] - $tS[$i - 1]) / $this->lengthS;
            if ($this->room <= 0.0 && $tS[$i] >= $firstEndS) {
                $this->slide($i, $tS, $value, $integral, max($tS[$i - 1], $firstEndS));
            }
        }
    }

    /**
     * How many of the oldest readings the window no longer needs.
     *
     * @param  list<float>  $tS
     */
    public function unused(array $tS): int
    {
        $startS = $tS[count($tS) - 1] - $this->lengthS;
        while (isset($tS[$this->start + 1]) && $tS[$this->start + 1] <= $startS) {
            $this->start++;
        }

        return $this->start;
    }

    /** Adjusts for the oldest readings having been dropped. */
    public function forget(int $readings): void
    {
        $this->start -= $readings;
    }

    /**
     * Tries every window that ends between a reading and the one before it.
     *
     * @param  int  $last  that reading
     * @param  list<float>  $tS
     * @param  list<float>  $value
     * @param  list<float>  $integral
     * @param  float  $fromS  the first moment at which a window may end
     */
    private function slide(int $last, array $tS, array $value, array $integral, float $fromS): void
    {
        $toS = $tS[$last];
        while ($tS[$this->start + 1] <= $fromS - $this->lengthS) {
            $this->start++;
        }
        $start = $this->start;
        $highestBehind = $value[$start];
        while ($tS[$start + 1] <= $toS - $this->lengthS) {
            $start++;
            $highestBehind = max($highestBehind, $value[$start]);
        }
        $mean = ($integral[$last] - self::integralAt($toS - $this->lengthS, $start, $tS, $value, $integral)) / $this->lengthS;
        $mostFall = max(0.0, max($highestBehind, $value[$start + 1]) - min($value[$last - 1], $value[$last])) * ($toS - $fromS) / $this->lengthS;
        if ($this->highest === null || $mean + $mostFall > $this->highest) {
            $this->search($last, $fromS, $tS, $value, $integral);
        }
        $this->start = $start;
        $this->room = ($this->highest ?? $mean) - $mean;
    }

    /**
     * The windows that end where their beginning passes a reading, and in between where the values at both ends are equal:
     * there the mean is highest.
     *
     * @param  list<float>  $tS
     * @param  list<float>  $value
     * @param  list<float>  $integral
     */
    private function search(int $last, float $endS, array $tS, array $value, array $integral): void
    {
        $start = $this->start;
        $gap = $this->gapAt($endS, $start, $last, $tS, $value);
        $this->consider($endS, $start, $last, $tS, $value, $integral);
        while ($endS < $tS[$last]) {
            $nextS = min($tS[$last], $tS[$start + 1] + $this->lengthS);
            $nextGap = $this->gapAt($nextS, $start, $last, $tS, $value);
            $this->consider($nextS, $start, $last, $tS, $value, $integral);
            if ($gap > 0 && $nextGap < 0) {
                $this->consider($endS + $gap / ($gap - $nextGap) * ($nextS - $endS), $start, $last, $tS, $value, $integral);
            }
            [$endS, $gap] = [$nextS, $nextGap];
            $start++;
        }
    }

    /**
     * The value at the end of a window minus that at its beginning.
     *
     * @param  list<float>  $tS
     * @param  list<float>  $value
     */
    private function gapAt(float $endS, int $start, int $last, array $tS, array $value): float
    {
        return self::valueAt($endS, $last - 1, $tS, $value) - self::valueAt($endS - $this->lengthS, $start, $tS, $value);
    }

    /**
     * @param  list<float>  $tS
     * @param  list<float>  $value
     * @param  list<float>  $integral
     */
    private function consider(float $endS, int $start, int $last, array $tS, array $value, array $integral): void
    {
        $mean = (self::integralAt($endS, $last - 1, $tS, $value, $integral) - self::integralAt($endS - $this->lengthS, $start, $tS, $value, $integral)) / $this->lengthS;
        $this->highest = max($this->highest ?? $mean, $mean);
    }

    /**
     * The integral up to a time between a reading and the next one.
     *
     * @param  list<float>  $tS
     * @param  list<float>  $value
     * @param  list<float>  $integral
     */
    private static function integralAt(float $atS, int $reading, array $tS, array $value, array $integral): float
    {
        return $integral[$reading] + ($value[$reading] + self::valueAt($atS, $reading, $tS, $value)) / 2 * ($atS - $tS[$reading]);
    }

    /**
     * The value at a time between a reading and the next one, on the straight line.
     *
     * @param  list<float>  $tS
     * @param  list<float>  $value
     */
    private static function valueAt(float $atS, int $reading, array $tS, array $value): float
    {
        return $value[$reading] + ($atS - $tS[$reading]) / ($tS[$reading + 1] - $tS[$reading]) * ($value[$reading + 1] - $value[$reading]);
    }
}
