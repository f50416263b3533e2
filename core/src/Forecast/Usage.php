<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** Energy, minutes and idle time that a bill is computed from. */
final readonly class Usage
{
    /**
     * @param  float  $plugKwh  as the station's meter counts
     * @param  list<array{float, float, float}>  $powerMinutes  minutes, and the kW with which they begin and end, from plugging in on
     * @param  float  $idleMinutes  plugged in after the end
     */
    public function __construct(public float $plugKwh, public array $powerMinutes, public float $idleMinutes = 0.0)
    {
    }

    /** Between the points of a forecast, half a minute apart at most where the power changes, it is nearly a straight line. */
    public static function of(Forecast $forecast, float $idleMinutes): self
    {
        $powerMinutes = [];
        foreach ($forecast->course->points as $i => $point) {
            $next = $forecast->course->points[$i + 1] ?? null;
            if ($next !== null) {
                $powerMinutes[] = [($next->tS - $point->tS) / 60, $point->flow->kw, $next->flow->kw];
            }
        }

        return new self($forecast->totals->plugKwh, $powerMinutes, $idleMinutes);
    }

    public function minutes(): float
    {
        return array_sum(array_column($this->powerMinutes, 0));
    }

    /** Minutes in which the power was in [from, to). */
    public function minutesBetween(float $fromKw, float $toKw): float
    {
        $minutes = 0.0;
        foreach ($this->powerMinutes as [$spanMinutes, $startKw, $endKw]) {
            [$lowKw, $highKw] = [min($startKw, $endKw), max($startKw, $endKw)];
            $minutes += $spanMinutes * ($lowKw === $highKw
                ? (int) ($lowKw >= $fromKw && $lowKw < $toKw)
                : max(0.0, min($highKw, $toKw) - max($lowKw, $fromKw)) / ($highKw - $lowKw));
        }

        return $minutes;
    }
}
