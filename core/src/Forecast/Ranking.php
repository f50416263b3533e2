<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Brick\Math\BigDecimal;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/**
 * Outlets as stops for one car and one need, best first by time, money or risk. Stops that do not bring the car to its
 * target stand behind those that do, whatever the order; those where nothing flows stand last.
 */
final class Ranking
{
    /** A smaller difference is none (minutes). */
    private const SAME_MINUTES = 0.5;

    /** What is told apart when stops are put in order: rounding errors of a walk never decide. */
    private const MINUTE_DECIMALS = 2;

    /** @var array<string, list<Stop>> by order */
    private array $sorted = [];

    /** @param  list<Stop>  $stops */
    private function __construct(private readonly array $stops)
    {
    }

    /** @param  iterable<Outlet>  $outlets */
    public static function of(iterable $outlets, Vehicle $vehicle, Fitter $fitter): self
    {
        $stops = [];
        foreach ($outlets as $outlet) {
            $forecast = Forecaster::totals($outlet->tariff)->forecast($fitter->answer($outlet, $vehicle)->best, $fitter->conditions);
            $stops[] = new Stop($forecast, Bill::ofForecast($forecast, $fitter->conditions));
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
        $minutes = round($stop->forecast->minutes ?? INF, self::MINUTE_DECIMALS);

        return [self::standing($stop), ...match ($order) {
            RankOrder::Time => [],
            RankOrder::Money => [$stop->price === null, $stop->bill?->currency() ?? '', (float) $stop->price],
            RankOrder::Risk => [$stop->risk],
        }, $minutes];
    }

    /** @return non-empty-list<Message> why a stop stands where it does in this order: a sentence, and what else must be known */
    public function reasons(Stop $stop, RankOrder $order): array
    {
        if (! $stop->forecast->isGiven()) {
            return [$stop->forecast->cutShort ?? Message::of('rank.nothing')];
        }
        $first = $this->by($order)[0];
        $mustCheck = $order !== RankOrder::Risk && $stop->forecast->answer->outcome === Outcome::Unverified;

        return [
            match ($order) {
                RankOrder::Time => self::timeReason($stop, $first),
                RankOrder::Money => self::moneyReason($stop, $first),
                RankOrder::Risk => self::riskReason($stop),
            },
            ...($stop->forecast->cutShort === null ? [] : [$stop->forecast->cutShort]),
            ...($mustCheck ? [Message::of('rank.check_first', facts: Listing::comma($stop->openFacts))] : []),
        ];
    }

    private static function standing(Stop $stop): int
    {
        return match (true) {
            $stop->reaches() => 0,
            $stop->forecast->isGiven() => 1,
            default => 2,
        };
    }

    private static function timeReason(Stop $stop, Stop $first): Message
    {
        $minutes = $stop->forecast->minutes ?? 0.0;
        $longest = $stop->forecast->longestBinding();
        $why = $longest === null
            ? Message::of('rank.nothing_to_charge')
            : Message::of('rank.held', binding: BindingCode::from($longest[0])->message(), minutes: Amount::duration($longest[1]));
        $moreMinutes = $minutes - ($first->forecast->minutes ?? 0.0);
        $told = Amount::duration($minutes);

        return match (true) {
            $stop === $first => Message::of('rank.time_first', minutes: $told, why: $why),
            $moreMinutes < self::SAME_MINUTES => Message::of('rank.time_same', minutes: $told, first: $first->name(), why: $why),
            default => Message::of('rank.time_more', minutes: $told, more: Amount::duration($moreMinutes), first: $first->name(), why: $why),
        };
    }

    private static function moneyReason(Stop $stop, Stop $first): Message
    {
        if ($stop->price === null || $stop->bill === null) {
            return Message::of('rank.price_unread');
        }
        $currency = $stop->bill->currency();
        $paid = ['price' => Amount::money($stop->price, $currency), 'energy' => Amount::kwh($stop->forecast->plugKwh)];
        if ($stop === $first || $first->price === null) {
            return Message::of('rank.money_first', ...$paid);
        }
        if ($first->bill?->currency() !== $currency) {
            return Message::of('rank.money_apart', ...$paid);
        }
        $more = BigDecimal::of($stop->price)->minus($first->price);

        return $more->isZero()
            ? Message::of('rank.money_same', ...$paid, first: $first->name())
            : Message::of('rank.money_more', ...$paid, more: Amount::money((string) $more, $currency), first: $first->name());
    }

    private static function riskReason(Stop $stop): Message
    {
        $parts = [
            ...($stop->knownFault() === null ? [] : [Message::of('rank.known_fault', fault: $stop->knownFault())]),
            ...($stop->isAccessUnverified() ? [Message::of('rank.access_unverified')] : []),
            ...($stop->openFacts === [] ? [] : [Message::of('rank.not_read', facts: Listing::comma($stop->openFacts))]),
        ];

        return $parts === [] ? Message::of('rank.no_risk') : Message::of('rank.risk', parts: Listing::semicolon($parts));
    }
}
