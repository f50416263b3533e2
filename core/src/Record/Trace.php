<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/**
 * A session's curve with few enough points to draw: time is split into equal intervals, and each keeps its reading with
 * the most kW and its last one, so that no peak is lost. As a session grows, pairs of intervals are merged.
 */
final class Trace
{
    /** The most intervals that a curve on a screen can show separately. */
    private const MOST = 300;

    private const SHORTEST_S = 1.0;

    /** @var array<int, array{highest: CompletedReading, last: CompletedReading}> by interval */
    private array $intervals = [];

    private float $intervalS = self::SHORTEST_S;

    /** @param  int  $most  intervals to cut it into */
    public function __construct(private readonly int $most = self::MOST)
    {
    }

    public function add(CompletedReading $reading): void
    {
        while ($reading->reading->tS() >= $this->most * $this->intervalS) {
            $this->widen();
        }
        $this->keep((int) floor($reading->reading->tS() / $this->intervalS), $reading, $reading);
    }

    /** @return list<CompletedReading> in time */
    public function points(): array
    {
        $points = [];
        foreach ($this->intervals as ['highest' => $highest, 'last' => $last]) {
            $points[] = $highest;
            if ($last !== $highest) {
                $points[] = $last;
            }
        }
        usort($points, static fn (CompletedReading $a, CompletedReading $b): int => $a->reading->tMs <=> $b->reading->tMs);

        return $points;
    }

    /** The same with fewer intervals. */
    public function thinned(int $most): self
    {
        $thin = new self($most);
        foreach ($this->points() as $point) {
            $thin->add($point);
        }

        return $thin;
    }

    private function widen(): void
    {
        ksort($this->intervals);
        [$narrow, $this->intervals] = [$this->intervals, []];
        $this->intervalS *= 2;
        foreach ($narrow as $interval => ['highest' => $highest, 'last' => $last]) {
            $this->keep(intdiv($interval, 2), $highest, $last);
        }
    }

    private function keep(int $interval, CompletedReading $highest, CompletedReading $last): void
    {
        $kept = $this->intervals[$interval]['highest'] ?? $highest;
        $this->intervals[$interval] = ['highest' => ($highest->kw ?? -1.0) > ($kept->kw ?? -1.0) ? $highest : $kept, 'last' => $last];
    }
}
