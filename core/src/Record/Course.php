<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/**
 * A session's course in a limited number of points: time is split into equal intervals, and their means are kept. As a
 * session grows, pairs of intervals are merged. Readings come in order of time.
 *
 * @phpstan-import-type Sums from CourseIntervals
 */
final class Course
{
    /** The most intervals; a long session has at least half as many. */
    private const MOST = 1200;

    private const SHORTEST_MS = 1000;

    private int $widthMs = self::SHORTEST_MS;

    private readonly CourseIntervals $kept;

    /** Number of the current interval; -1 before the first. */
    private int $at = -1;

    private int $lastMs = 0;

    private int $n = 0;

    private float $sumT = 0.0;

    private float $sumV = 0.0;

    private int $nV = 0;

    private float $sumA = 0.0;

    private int $nA = 0;

    private float $sumKw = 0.0;

    private int $nKw = 0;

    private ?float $soc = null;

    /** @var array<value-of<Point>, float> */
    private array $celsius = [];

    private int $measured = 0;

    /** When no current was last read before the first one, and when that was (ms). */
    private ?int $idleMs = null;

    private ?int $flowMs = null;

    public function __construct()
    {
        $this->kept = new CourseIntervals;
    }

    public function add(CompletedReading $completed): void
    {
        $reading = $completed->reading;
        // Where a clock was set back, what follows is left out until it is past where it was.
        if ($reading->tMs < $this->lastMs) {
            return;
        }
        $this->lastMs = $reading->tMs;
        $interval = intdiv($reading->tMs, $this->widthMs);
        if ($interval !== $this->at) {
            $this->close();
            $this->at = $interval;
        }
        $this->n++;
        $this->sumT += $reading->tMs;
        if ($completed->volts !== null) {
            $this->sumV += $completed->volts;
            $this->nV++;
        }
        if ($completed->amps !== null) {
            $this->sumA += $completed->amps;
            $this->nA++;
            if ($completed->voltsFrom === Provenance::Measured && $completed->ampsFrom === Provenance::Measured) {
                $this->measured++;
            }
        }
        if ($completed->kw !== null) {
            $this->sumKw += $completed->kw;
            $this->nKw++;
        }
        if ($reading->socPct !== null) {
            $this->soc = $reading->socPct;
        }
        if ($reading->celsius !== []) {
            foreach ($reading->celsius as $point => $celsius) {
                $this->celsius[$point] = isset($this->celsius[$point]) ? max($this->celsius[$point], $celsius) : $celsius;
            }
        }
        if ($this->flowMs === null && ($completed->amps !== null || $completed->kw !== null)) {
            if (Measurements::isFlow($completed->amps, $completed->kw)) {
                $this->flowMs = $reading->tMs;
            } else {
                $this->idleMs = $reading->tMs;
            }
        }
    }

    /** When current was first read (s); null when none was. */
    public function firstFlowS(): ?float
    {
        return $this->flowMs === null ? null : $this->flowMs / 1000;
    }

    /** When it was last read, before, that none flowed (s); null when that was not read. */
    public function lastIdleS(): ?float
    {
        return $this->idleMs === null ? null : $this->idleMs / 1000;
    }

    /** @return list<Moment> in time */
    public function moments(): array
    {
        $mean = static fn (float $sum, int $n): ?float => $n === 0 ? null : $sum / $n;

        return array_map(static fn (array $s): Moment => new Moment(
            $s['t'] / $s['n'] / 1000, $s['n'], $s['soc'], $mean($s['v'], $s['nv']), $mean($s['a'], $s['na']), $mean($s['kw'], $s['nkw']), $s['c'], $s['na'] > 0 && $s['m'] === $s['na'],
        ), $this->thin()[0]);
    }

    /** @return array{list<Sums>, int} the intervals up to now, the open one too, and how wide they are then (ms) */
    private function thin(): array
    {
        $all = $this->kept->all();
        $widthMs = $this->widthMs;
        if ($this->n > 0) {
            $all[] = [
                'n' => $this->n, 't' => $this->sumT, 'v' => $this->sumV, 'nv' => $this->nV, 'a' => $this->sumA, 'na' => $this->nA,
                'kw' => $this->sumKw, 'nkw' => $this->nKw, 'soc' => $this->soc, 'c' => $this->celsius, 'm' => $this->measured,
            ];
        }
        while (count($all) > self::MOST) {
            $widthMs *= 2;
            $all = self::widened($all, $widthMs);
        }

        return [$all, $widthMs];
    }

    private function close(): void
    {
        if ($this->n === 0) {
            return;
        }
        [$all, $this->widthMs] = $this->thin();
        $this->kept->replace($all);
        $this->n = $this->nV = $this->nA = $this->nKw = $this->measured = 0;
        $this->sumT = $this->sumV = $this->sumA = $this->sumKw = 0.0;
        $this->soc = null;
        $this->celsius = [];
    }

    /**
     * @param  list<Sums>  $all
     * @return list<Sums>
     */
    private static function widened(array $all, int $widthMs): array
    {
        $wide = [];
        foreach ($all as $one) {
            $interval = intdiv((int) ($one['t'] / $one['n']), $widthMs);
            $wide[$interval] = isset($wide[$interval]) ? self::together($wide[$interval], $one) : $one;
        }

        return array_values($wide);
    }

    /**
     * @param  Sums  $one
     * @param  Sums  $next
     * @return Sums
     */
    private static function together(array $one, array $next): array
    {
        $celsius = $one['c'];
        foreach ($next['c'] as $point => $hottest) {
            $celsius[$point] = max($celsius[$point] ?? $hottest, $hottest);
        }

        return [
            'n' => $one['n'] + $next['n'], 't' => $one['t'] + $next['t'], 'v' => $one['v'] + $next['v'], 'nv' => $one['nv'] + $next['nv'],
            'a' => $one['a'] + $next['a'], 'na' => $one['na'] + $next['na'], 'kw' => $one['kw'] + $next['kw'], 'nkw' => $one['nkw'] + $next['nkw'],
            'soc' => $next['soc'] ?? $one['soc'], 'c' => $celsius, 'm' => $one['m'] + $next['m'],
        ];
    }
}
