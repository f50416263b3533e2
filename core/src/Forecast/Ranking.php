<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Brick\Math\BigDecimal;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Words\Amount;

/**
 * Outlets as stops for one car and one need, best first by time, money or risk. Stops that do not bring the car to its
 * target stand behind those that do, whatever the order; those where nothing flows stand last.
 */
final class Ranking
{
    /** A smaller difference is none (minutes). */
    private const SAME_MINUTES = 0.5;

    /** @var array<string, list<Stop>> by order */
    private array $sorted = [];

    /** @param  list<Stop>  $stops */
    private function __construct(private readonly array $stops)
    {
    }

    /** @param  iterable<Outlet>  $outlets */
    public static function of(iterable $outlets, Vehicle $vehicle, Fitter $fitter, Conditions $conditions): self
    {
        $stops = [];
        $forecaster = Forecaster::sparing();
        foreach ($outlets as $outlet) {
            $forecast = $forecaster->forecast($fitter->bestOf($outlet, $vehicle), $conditions);
            $stops[] = new Stop($forecast, Bill::ofForecast($forecast, $conditions));
        }

        return new self($stops);
    }

    /** @return list<Stop> best first; equals keep the order they came in */
    public function by(RankOrder $order): array
    {
        return $this->sorted[$order->value] ??= $this->sorted($order);
    }

    /** @return list<Stop> */
    private function sorted(RankOrder $order): array
    {
        $stops = $this->stops;
        usort($stops, static fn (Stop $a, Stop $b): int => self::key($a, $order) <=> self::key($b, $order));

        return $stops;
    }

    /**
     * Read prices stand before unread ones; two currencies are never compared, each keeps to its own.
     *
     * @return list<float|int|string|bool>
     */
    private static function key(Stop $stop, RankOrder $order): array
    {
        $minutes = $stop->forecast->minutes ?? INF;

        return [self::standing($stop), ...match ($order) {
            RankOrder::Time => [],
            RankOrder::Money => [$stop->price === null, $stop->bill?->currency() ?? '', (float) $stop->price],
            RankOrder::Risk => [$stop->risk],
        }, $minutes];
    }

    /** Why a stop stands where it does in this order, in one sentence. */
    public function reason(Stop $stop, RankOrder $order): string
    {
        if (! $stop->forecast->isGiven()) {
            return $stop->forecast->stopped ?? 'Nothing flows.';
        }
        $first = $this->by($order)[0];
        $short = $stop->forecast->stopped === null ? '' : ' '.$stop->forecast->stopped;
        if ($order !== RankOrder::Risk && $stop->forecast->answer->outcome === Outcome::Unverified) {
            $short .= sprintf(' Check first: %s.', implode(', ', $stop->openFacts));
        }

        return match ($order) {
            RankOrder::Time => self::timeReason($stop, $first),
            RankOrder::Money => self::moneyReason($stop, $first),
            RankOrder::Risk => self::riskReason($stop),
        }.$short;
    }

    private static function standing(Stop $stop): int
    {
        return match (true) {
            $stop->reaches() => 0,
            $stop->forecast->isGiven() => 1,
            default => 2,
        };
    }

    private static function timeReason(Stop $stop, Stop $first): string
    {
        $minutes = $stop->forecast->minutes ?? 0.0;
        $longest = $stop->forecast->longestBinding();
        $why = $longest === null
            ? 'nothing to charge'
            : sprintf('held by %s for %s of them', BindingCode::from($longest[0])->words(), Amount::duration($longest[1]));
        $moreMinutes = $minutes - ($first->forecast->minutes ?? 0.0);

        return match (true) {
            $stop === $first => sprintf('Quickest: %s, %s.', Amount::duration($minutes), $why),
            $moreMinutes < self::SAME_MINUTES => sprintf('%s, as at %s: %s.', Amount::duration($minutes), $first->name(), $why),
            default => sprintf('%s, %s more than %s: %s.', Amount::duration($minutes), Amount::duration($moreMinutes), $first->name(), $why),
        };
    }

    private static function moneyReason(Stop $stop, Stop $first): string
    {
        $price = $stop->price;
        if ($price === null || $stop->bill === null) {
            return 'Price not read: the sign at the stall, or its network\'s app, tells it.';
        }
        $kwh = sprintf('%s for %.1f kWh', self::money($stop->bill, $price), $stop->forecast->plugKwh);
        $firstPrice = $first->price;
        if ($stop === $first || $firstPrice === null) {
            return "Cheapest: {$kwh}.";
        }
        if ($first->bill?->currency() !== $stop->bill->currency()) {
            return "{$kwh}; not compared with another currency.";
        }
        $more = BigDecimal::of($price)->minus($firstPrice);

        return $more->isZero() ? "{$kwh}, as at {$first->name()}." : sprintf('%s, %s more than %s.', $kwh, self::money($stop->bill, (string) $more), $first->name());
    }

    private static function riskReason(Stop $stop): string
    {
        $facts = $stop->openFacts;
        $parts = [
            ...($stop->knownFault() === null ? [] : [sprintf('known fault: %s', $stop->knownFault())]),
            ...($stop->isAccessUnverified() ? ['access not verified'] : []),
            ...($facts === [] ? [] : [sprintf('not read: %s', implode(', ', $facts))]),
        ];

        return $parts === [] ? 'Nothing left open: access and plates are read, no fault is known.' : ucfirst(implode('; ', $parts)).'.';
    }

    private static function money(Bill $bill, string $amount): string
    {
        return "{$amount} {$bill->currency()}";
    }
}
