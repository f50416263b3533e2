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
 * Ranks outlets as stops for one car and one need, best first by time, money or risk. Stops that don't bring the car to
 * its target always come after those that do; those where nothing flows come last.
 */
final class Ranking
{
    /** A smaller difference is none (minutes). */
    private const SAME_MINUTES = 0.5;

    /** Minutes are compared to this many decimals, so that rounding never decides the order. */
    private const MINUTE_DECIMALS = 2;

    /** @var array<string, list<Stop>> by order */
    private array $sorted = [];

    /** @var array<string, array<string, list<Stop>>> stops that can be compared, by order */
    private array $peers = [];

    /** @param  list<Stop>  $stops */
    private function __construct(private readonly array $stops)
    {
    }

    /** @param  iterable<Outlet>  $outlets */
    public static function of(iterable $outlets, Vehicle $vehicle, Fitter $fitter): self
    {
        $stops = [];
        foreach ($outlets as $outlet) {
            $forecast = Forecaster::totals($outlet->site->tariff)->forecast($fitter->answer($outlet, $vehicle)->best, $fitter->conditions);
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
     * Known prices come before unknown ones; amounts in different currencies are never compared.
     *
     * @return list<float|int|string|bool>
     */
    private static function key(Stop $stop, RankOrder $order): array
    {
        $minutes = round($stop->forecast->totals->minutes ?? INF, self::MINUTE_DECIMALS);

        return [self::standing($stop), ...match ($order) {
            RankOrder::Time => [],
            RankOrder::Money => $stop->price === null ? [true, '', 0.0] : [false, $stop->bill?->currency() ?? '', (float) $stop->price],
            RankOrder::Risk => [$stop->risk],
        }, $minutes];
    }

    /** @return non-empty-list<Message> why a stop stands where it does in this order: a sentence, and what else must be known */
    public function reasons(Stop $stop, RankOrder $order): array
    {
        if (! $stop->forecast->isGiven()) {
            return [$stop->forecast->cutShort ?? Message::of('rank.nothing')];
        }
        $mustCheck = $order !== RankOrder::Risk && $stop->forecast->answer->outcome === Outcome::Unverified;

        return [
            match ($order) {
                RankOrder::Time => $this->timeReason($stop),
                RankOrder::Money => $this->moneyReason($stop),
                RankOrder::Risk => self::riskReason($stop),
            },
            ...($stop->forecast->cutShort === null ? [] : [$stop->forecast->cutShort]),
            ...($mustCheck ? [Message::of('rank.check_first', facts: Listing::comma([...$stop->accessFacts, ...$stop->openFacts]))] : []),
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

    /**
     * The stops that this one can be compared with, best first: those that also reach the target, or also don't.
     *
     * @return list<Stop>
     */
    private function peers(Stop $stop, RankOrder $order): array
    {
        $kind = static fn (Stop $s): string => self::standing($s).($order === RankOrder::Money && $s->price !== null ? $s->bill?->currency() : '');
        if (! isset($this->peers[$order->value])) {
            $this->peers[$order->value] = [];
            foreach ($this->by($order) as $each) {
                $this->peers[$order->value][$kind($each)][] = $each;
            }
        }

        return $this->peers[$order->value][$kind($stop)] ?? [];
    }

    /** Whether this currency is one of several. */
    private function isOneCurrencyOfMany(string $currency): bool
    {
        foreach ($this->stops as $stop) {
            if ($stop->price !== null && $stop->bill?->currency() !== $currency) {
                return true;
            }
        }

        return false;
    }

    private function timeReason(Stop $stop): Message
    {
        $longest = $stop->forecast->totals->longestBinding();
        $peers = $this->peers($stop, RankOrder::Time);
        $told = [
            'minutes' => Amount::duration($stop->forecast->totals->minutes),
            'why' => $longest === null
                ? Message::of('rank.nothing_to_charge')
                : Message::of('rank.held', binding: BindingCode::from($longest[0])->message(), minutes: Amount::duration($longest[1])),
        ];
        $minutes = static fn (Stop $given): float => $given->forecast->totals->minutes ?? throw new \LogicException('asked of what is given');
        $more = static fn (Stop $other): float => round($minutes($other) - $minutes($peers[0]), self::MINUTE_DECIMALS);

        return match (true) {
            ! $stop->reaches() || count($peers) === 1 => Message::of('rank.time_alone', ...$told),
            $stop === $peers[0] => $more($peers[1]) < self::SAME_MINUTES ? Message::of('rank.time_first_tie', ...$told) : Message::of('rank.time_first', ...$told),
            $more($stop) < self::SAME_MINUTES => Message::of('rank.time_same', ...$told, first: $peers[0]->name()),
            default => Message::of('rank.time_more', ...$told, more: Amount::duration($more($stop)), first: $peers[0]->name()),
        };
    }

    private function moneyReason(Stop $stop): Message
    {
        if ($stop->price === null || $stop->bill === null) {
            return $stop->bill === null
                ? Message::of('rank.price_unread')
                : Message::of('rank.price_part_unread', parts: Listing::comma($stop->bill->unread()));
        }
        $currency = $stop->bill->currency();
        if ($stop->bill->isAtLeast()) {
            return Message::of('rank.price_at_least', price: Amount::money($stop->price, $currency), parts: Listing::comma($stop->bill->unread()));
        }
        $paid = ['price' => Amount::money($stop->price, $currency), 'energy' => Amount::kwh($stop->forecast->totals->plugKwh)];
        $peers = $this->peers($stop, RankOrder::Money);
        $more = static fn (Stop $other): BigDecimal => BigDecimal::of($other->price ?? '0')->minus($peers[0]->price ?? '0');

        return match (true) {
            ! $stop->reaches() || count($peers) === 1 => Message::of($this->isOneCurrencyOfMany($currency) ? 'rank.money_apart' : 'rank.money_alone', ...$paid),
            $stop === $peers[0] => $more($peers[1])->isZero() ? Message::of('rank.money_first_tie', ...$paid) : Message::of('rank.money_first', ...$paid),
            $more($stop)->isZero() => Message::of('rank.money_same', ...$paid, first: $peers[0]->name()),
            default => Message::of('rank.money_more', ...$paid, more: Amount::money((string) $more($stop), $currency), first: $peers[0]->name()),
        };
    }

    private static function riskReason(Stop $stop): Message
    {
        $parts = [
            ...($stop->knownFault() === null ? [] : [Message::of('rank.known_fault', fault: $stop->knownFault())]),
            ...$stop->trouble(),
            ...($stop->isWhollyFaulty() ? [Message::of('rank.every_stall_faulty')] : []),
            ...($stop->isTightForTrailer() ? [Message::of('rank.trailer')] : []),
            ...($stop->accessFacts === [] ? [] : [Message::of('rank.access_unverified', facts: Listing::comma($stop->accessFacts))]),
            ...($stop->openFacts === [] ? [] : [Message::of('rank.not_read', facts: Listing::comma($stop->openFacts))]),
        ];

        return $parts === [] ? Message::of('rank.no_risk') : Message::of('rank.risk', parts: Listing::semicolon($parts));
    }
}
