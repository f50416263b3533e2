<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** What a bill is made from. */
final readonly class Usage
{
    /**
     * @param  float  $plugKwh  as the station's meter counts
     * @param  list<array{float, float}>  $powerMinutes  pairs of minutes and the mean kW in them, from plugging in on
     * @param  float  $idleMinutes  plugged in after the end
     */
    public function __construct(public float $plugKwh, public array $powerMinutes, public float $idleMinutes = 0.0)
    {
    }

    /** The minutes by power come from the forecast's points, so they are exact to half a minute at most. */
    public static function of(Forecast $forecast, float $idleMinutes): self
    {
        $powerMinutes = [];
        foreach ($forecast->points as $i => $point) {
            $next = $forecast->points[$i + 1] ?? null;
            if ($next !== null) {
                $powerMinutes[] = [($next->tS - $point->tS) / 60, ($point->kw + $next->kw) / 2];
            }
        }

        return new self($forecast->plugKwh, $powerMinutes, $idleMinutes);
    }

    public function minutes(): float
    {
        return array_sum(array_column($this->powerMinutes, 0));
    }

    /** Minutes in which the power was in [from, to). */
    public function minutesBetween(float $fromKw, float $toKw): float
    {
        $minutes = 0.0;
        foreach ($this->powerMinutes as [$spanMinutes, $kw]) {
            $minutes += $kw >= $fromKw && $kw < $toKw ? $spanMinutes : 0.0;
        }

        return $minutes;
    }
}
