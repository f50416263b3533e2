<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/**
 * The highest time-weighted mean over a window of fixed length, of a value that runs straight between its readings.
 * Exact: the window may begin and end between readings. Holds no more readings than the window is long.
 */
final class RollingMean
{
    private ?float $highest = null;

    /** @var list<array{float, float, float}> time (s), value, integral up to there, oldest first */
    private array $points = [];

    public function __construct(private readonly float $windowS)
    {
    }

    public function highest(): ?float
    {
        return $this->highest;
    }

    /** Forgets what came before: the next reading begins a new stretch. */
    public function interrupt(): void
    {
        $this->points = [];
    }

    public function add(float $tS, float $value): void
    {
        $last = $this->points === [] ? null : $this->points[count($this->points) - 1];
        if ($last === null) {
            $this->points = [[$tS, $value, 0.0]];

            return;
        }
        if ($tS <= $last[0]) {
            return;
        }
        $this->points[] = [$tS, $value, $last[2] + ($last[1] + $value) / 2 * ($tS - $last[0])];
        $this->slide($last[0], $tS);
        $this->drop($tS - $this->windowS);
    }

    /** Tries every window that ends in (from, to]: at its ends, where its start passes a reading, and where it peaks in between. */
    private function slide(float $fromS, float $toS): void
    {
        $firstEnd = max($fromS, $this->points[0][0] + $this->windowS);
        if ($firstEnd > $toS) {
            return;
        }
        $ends = [$firstEnd];
        // Only readings that the start of the window passes on this stretch matter.
        $count = count($this->points);
        for ($i = $this->indexBefore($firstEnd - $this->windowS) + 1; $i < $count && $this->points[$i][0] + $this->windowS < $toS; $i++) {
            $ends[] = $this->points[$i][0] + $this->windowS;
        }
        $ends[] = $toS;
        $leftGap = null;
        $leftEnd = $firstEnd;
        foreach ($ends as $end) {
            $this->consider($end);
            $gap = $this->valueAt($end) - $this->valueAt($end - $this->windowS);
            if ($leftGap !== null && $leftGap > 0 && $gap < 0) {
                $this->consider($leftEnd + $leftGap / ($leftGap - $gap) * ($end - $leftEnd));
            }
            [$leftGap, $leftEnd] = [$gap, $end];
        }
    }

    private function consider(float $endS): void
    {
        $mean = ($this->integralAt($endS) - $this->integralAt($endS - $this->windowS)) / $this->windowS;
        $this->highest = max($this->highest ?? $mean, $mean);
    }

    private function valueAt(float $tS): float
    {
        [$a, $b] = $this->around($tS);

        return $b[0] === $a[0] ? $a[1] : $a[1] + ($tS - $a[0]) / ($b[0] - $a[0]) * ($b[1] - $a[1]);
    }

    private function integralAt(float $tS): float
    {
        [$a] = $this->around($tS);

        return $a[2] + ($a[1] + $this->valueAt($tS)) / 2 * ($tS - $a[0]);
    }

    /** @return array{array{float, float, float}, array{float, float, float}} the readings before and after a time, by bisection */
    private function around(float $tS): array
    {
        $low = $this->indexBefore($tS);

        return [$this->points[$low], $this->points[min($low + 1, count($this->points) - 1)]];
    }

    /** The last reading but one that is not after a time, by bisection; the first when all are after it. */
    private function indexBefore(float $tS): int
    {
        $low = 0;
        $high = count($this->points) - 1;
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($this->points[$middle][0] <= $tS) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    private function drop(float $beforeS): void
    {
        $keep = 0;
        $last = count($this->points) - 1;
        while ($keep < $last && $this->points[$keep + 1][0] <= $beforeS) {
            $keep++;
        }
        // Dropping in batches keeps the cost of moving the list small.
        if ($keep > 64) {
            $this->points = array_slice($this->points, $keep);
        }
    }
}
