<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/**
 * A session's curve, thin enough to draw: the time is cut into even stretches, and of each the reading with the most
 * kW and the last one are kept, so that no peak is lost.
 */
final class Trace
{
    /** As many points as a curve on a screen can show apart. */
    private const MOST = 300;

    /** @var array<int, array{highest: Completed, last: Completed}> by stretch */
    private array $stretches = [];

    /**
     * @param  float  $durationS  time of the session's last reading
     * @param  int  $most  stretches to cut it into
     */
    public function __construct(private readonly float $durationS, private readonly int $most = self::MOST)
    {
    }

    public function add(Completed $reading): void
    {
        $stretch = $this->durationS <= 0 ? 0 : (int) min($this->most - 1, floor($reading->reading->tS() / $this->durationS * $this->most));
        $kept = $this->stretches[$stretch] ?? ['highest' => $reading, 'last' => $reading];
        if (($reading->kw ?? -1.0) > ($kept['highest']->kw ?? -1.0)) {
            $kept['highest'] = $reading;
        }
        $this->stretches[$stretch] = ['highest' => $kept['highest'], 'last' => $reading];
    }

    /** @return list<Completed> in time */
    public function points(): array
    {
        ksort($this->stretches);
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
}
