<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Power\BindingCode;

/** Charge and energy over the time since the first current, of a session that was read or of one that was forecast. */
final readonly class Track
{
    /**
     * @param  list<array{float, float, float|null}>  $points  seconds since the first current, kWh since then, percent of charge
     */
    private function __construct(private array $points)
    {
    }

    public static function measured(ReferencePoints $referencePoints): self
    {
        $points = [];
        $kwh = 0.0;
        $before = null;
        foreach ($referencePoints->all as $referencePoint) {
            if ($referencePoint->moment->tS < $referencePoints->firstFlowS) {
                continue;
            }
            $kwh += $referencePoint->moment->kwhSince($before);
            $before = $referencePoint->moment;
            $points[] = [$referencePoint->moment->tS - $referencePoints->firstFlowS, $kwh, $referencePoint->soc];
        }

        return new self($points);
    }

    public static function forecast(Forecast $forecast): self
    {
        $points = [];
        $kwh = 0.0;
        $before = null;
        foreach ($forecast->course->points as $step) {
            if ($step->binding === BindingCode::Handshake) {
                continue;
            }
            $kwh += $before === null ? 0.0 : ($before->flow->kw + $step->flow->kw) / 2 * ($step->tS - $before->tS) / 3600;
            $first ??= $step->tS;
            $before = $step;
            $points[] = [$step->tS - $first, $kwh, $step->soc];
        }

        return new self($points);
    }

    /** Seconds until this charge; null where it was not reached. */
    public function secondsTo(float $soc): ?float
    {
        $before = null;
        foreach ($this->points as [$tS, , $charge]) {
            if ($charge === null) {
                continue;
            }
            if ($charge >= $soc) {
                // What it began with was never reached on the way.
                return $before === null ? null : $before[0] + ($soc - $before[1]) / ($charge - $before[1]) * ($tS - $before[0]);
            }
            $before = [$tS, $charge];
        }

        return null;
    }

    /** @return array{float, float|null}|null kWh and percent of charge added by then; null beyond the end */
    public function by(float $seconds): ?array
    {
        $before = null;
        foreach ($this->points as $point) {
            if ($point[0] >= $seconds) {
                $share = $before === null || $point[0] <= $before[0] ? 1.0 : ($seconds - $before[0]) / ($point[0] - $before[0]);
                $before ??= $point;
                $start = $this->points[0][2];
                $charge = $before[2] === null || $point[2] === null ? null : $before[2] + $share * ($point[2] - $before[2]);

                return [$before[1] + $share * ($point[1] - $before[1]), $charge === null || $start === null ? null : $charge - $start];
            }
            $before = $point;
        }

        return null;
    }
}
