<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/**
 * A session's curve, thin enough to draw: the time is cut into even intervals, and of each the reading with the most
 * kW and the last one are kept, so that no peak is lost. As a session grows, so do its intervals: two become one.
 */
final class Trace
{
    /** As many intervals as a curve on a screen can show apart. */
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

    /** The same in fewer intervals. */
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
