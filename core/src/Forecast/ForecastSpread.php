<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Brick\Math\BigDecimal;
use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\SpreadBound;
use Harmozon\Core\Fit\UncertaintyBand;

/** The range of a forecast that depends on unread facts, and which of them matters most. */
final readonly class ForecastSpread
{
    /**
     * @param  array{string, string}|null  $amounts  least and most, decimal; null where there is no price, or not all of it was read
     * @param  list<OpenFact>  $openFacts  the one that narrows the minutes most first
     */
    private function __construct(public UncertaintyBand $minutes, public UncertaintyBand $peakKw, public UncertaintyBand $plugKwh, public ?array $amounts, public array $openFacts)
    {
    }

    /** Null where the forecast depends only on facts that were read, or there is none. */
    public static function of(Forecast $forecast, Conditions $conditions): ?self
    {
        $assumed = AssumedFact::ofSession($forecast->answer->chain);
        if ($assumed === [] || $forecast->totals->minutes === null) {
            return null;
        }
        [$slow, $fast] = self::ends($forecast, $assumed, $conditions);
        $minutes = self::minutes($forecast, $slow, $fast);
        $openFacts = array_map(static fn (AssumedFact $a): OpenFact => new OpenFact($a, self::minutes(
            $forecast, ...self::ends($forecast, array_values(array_filter($assumed, static fn (AssumedFact $other): bool => $other !== $a)), $conditions),
        )), $assumed);
        // Equals stay in the order of the chain.
        usort($openFacts, static fn (OpenFact $a, OpenFact $b): int => $a->minutesOnceRead->width() <=> $b->minutesOnceRead->width());

        return new self(
            $minutes,
            UncertaintyBand::around($forecast->totals->peakKw, $slow->totals->peakKw, $fast->totals->peakKw),
            UncertaintyBand::around($forecast->totals->plugKwh, $slow->totals->plugKwh, $fast->totals->plugKwh),
            self::amounts([$forecast, $slow, $fast], $conditions),
            $openFacts,
        );
    }

    /**
     * @param  list<AssumedFact>  $assumed
     * @return array{Forecast, Forecast} the forecast itself where an end of the spread makes no difference
     */
    private static function ends(Forecast $forecast, array $assumed, Conditions $conditions): array
    {
        if ($assumed === []) {
            return [$forecast, $forecast];
        }
        $forecaster = Forecaster::totals($forecast->answer->chain->outlet->site->tariff);
        $given = static function (ChainAnswer $corner) use ($forecaster, $forecast, $conditions): Forecast {
            $end = $forecaster->forecast($corner, $conditions);

            return $end->isGiven() ? $end : $forecast;
        };

        return [$given(SpreadBound::slow($forecast->answer, $assumed)), $given(SpreadBound::fast($forecast->answer, $assumed))];
    }

    private static function minutes(Forecast ...$forecasts): UncertaintyBand
    {
        return UncertaintyBand::around(...array_map(static fn (Forecast $f): float => $f->totals->minutes ?? 0.0, array_values($forecasts)));
    }

    /**
     * @param  non-empty-list<Forecast>  $forecasts
     * @return array{string, string}|null least and most
     */
    private static function amounts(array $forecasts, Conditions $conditions): ?array
    {
        $amounts = [];
        foreach ($forecasts as $forecast) {
            $amount = Bill::ofForecast($forecast, $conditions)?->amount();
            if ($amount === null) {
                return null;
            }
            $amounts[] = BigDecimal::of($amount);
        }

        return [(string) BigDecimal::min(...$amounts), (string) BigDecimal::max(...$amounts)];
    }
}
