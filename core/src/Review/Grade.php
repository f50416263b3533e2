<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** How accurate a session's forecast was, over the charge that was recorded. */
final readonly class Grade
{
    /** The least charge between the first and last reading for a grade (percent). */
    private const LEAST_PERCENT = 1.0;

    /** From this mean error, as a share of the forecast's mean power, a session isn't "as forecast". */
    private const AS_FORECAST = 0.08;

    /**
     * @param  float  $minutes  as forecast
     * @param  float  $measuredMinutes  as it was
     * @param  float  $meanErrorKw  mean of the absolute differences, over the charge
     * @param  float  $biasKw  mean of the differences: below 0 where less came than was forecast
     * @param  float  $meanForecastKw  as forecast for the same moments
     */
    private function __construct(public float $minutes, public float $measuredMinutes, public float $meanErrorKw, public float $biasKw, private float $meanForecastKw)
    {
    }

    /** Null where no charge was recorded, or there was no forecast. */
    public static function of(Reference $reference, ReferencePoints $referencePoints): ?self
    {
        $read = array_values(array_filter($referencePoints->all, static fn (ReferencePoint $m): bool => $m->moment->soc !== null));
        if ($read === [] || ! $reference->isGiven()) {
            return null;
        }
        [$first, $last] = [$read[0], $read[count($read) - 1]];
        $gained = ($last->soc ?? 0.0) - ($first->soc ?? 0.0);
        $began = $first->moment->flows() ? $reference->secondsTo($first->soc ?? 0.0) : $first->moment->tS;
        $ended = $reference->secondsTo($last->soc ?? 0.0);
        if ($gained < self::LEAST_PERCENT || $began === null || $ended === null) {
            return null;
        }
        [$error, $bias, $forecast] = self::errors($referencePoints->all, $first->moment->tS, $last->moment->tS);

        return new self(($ended - $began) / 60, ($last->moment->tS - $first->moment->tS) / 60, $error, $bias, $forecast);
    }

    public function errorMinutes(): float
    {
        return $this->measuredMinutes - $this->minutes;
    }

    /** Whether the session went as forecast, on average over the charge recorded. */
    public function isAsForecast(): bool
    {
        return $this->meanErrorKw < self::AS_FORECAST * $this->meanForecastKw;
    }

    /**
     * @param  list<ReferencePoint>  $referencePoints
     * @return array{float, float, float} mean error, mean difference and mean forecast (kW), weighted by the charge that each moment brought
     */
    private static function errors(array $referencePoints, float $fromS, float $toS): array
    {
        $error = $bias = $forecast = $weights = 0.0;
        foreach ($referencePoints as $referencePoint) {
            $isCounted = $referencePoint->moment->tS >= $fromS && $referencePoint->moment->tS <= $toS && $referencePoint->moment->flows();
            if ($isCounted && $referencePoint->expectedKw !== null && $referencePoint->moment->kw !== null) {
                $weight = $referencePoint->moment->kw * max($referencePoint->seconds(), 1.0);
                $error += $weight * abs($referencePoint->moment->kw - $referencePoint->expectedKw);
                $bias += $weight * ($referencePoint->moment->kw - $referencePoint->expectedKw);
                $forecast += $weight * $referencePoint->expectedKw;
                $weights += $weight;
            }
        }

        return $weights > 0 ? [$error / $weights, $bias / $weights, $forecast / $weights] : [0.0, 0.0, 0.0];
    }
}
