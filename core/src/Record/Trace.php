<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/**
 * A session's curve, thin enough to draw: the time is cut into even stretches, and of each the reading with the most
 * kW and the last one are kept, so that no peak is lost. As a session grows, so do its stretches: two become one.
 */
final class Trace
{
    /** As many stretches as a curve on a screen can show apart. */
    private const MOST = 300;

    private const SHORTEST_S = 1.0;

    /** @var array<int, array{highest: Completed, last: Completed}> by stretch */
    private array $stretches = [];

    private float $stretchS = self::SHORTEST_S;

    /** @param  int  $most  stretches to cut it into */
    public function __construct(private readonly int $most = self::MOST)
    {
    }

    public function add(Completed $reading): void
    {
        while ($reading->reading->tS() >= $this->most * $this->stretchS) {
            $this->widen();
        }
        $this->keep((int) floor($reading->reading->tS() / $this->stretchS), $reading, $reading);
    }

    /** @return list<Completed> in time */
    public function points(): array
    {
        $points = [];
        foreach ($this->stretches as ['highest' => $highest, 'last' => $last]) {
            $points[] = $highest;
            if ($last !== $highest) {
                $points[] = $last;
            }
        }
        usort($points, static fn (Completed $a, Completed $b): int => $a->reading->tMs <=> $b->reading->tMs);

        return $points;
    }

    /** The same in fewer stretches. */
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
        ksort($this->stretches);
        [$narrow, $this->stretches] = [$this->stretches, []];
        $this->stretchS *= 2;
        foreach ($narrow as $stretch => ['highest' => $highest, 'last' => $last]) {
            $this->keep(intdiv($stretch, 2), $highest, $last);
        }
    }

    private function keep(int $stretch, Completed $highest, Completed $last): void
    {
        $kept = $this->stretches[$stretch]['highest'] ?? $highest;
        $this->stretches[$stretch] = ['highest' => ($highest->kw ?? -1.0) > ($kept->kw ?? -1.0) ? $highest : $kept, 'last' => $last];
    }
}
