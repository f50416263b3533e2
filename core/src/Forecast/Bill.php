<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\MinuteBand;
use Harmozon\Core\Equipment\Tariff;
use Harmozon\Core\Words\Message;

/**
 * What a session costs under a tariff. Decimal arithmetic on the energy and the minutes as they are; amounts are
 * rounded once, at the end, to the currency's smallest coin. Where a price that matters was not read, an amount covers
 * only the known part: "at least". Where none was read it is null.
 */
final readonly class Bill
{
    /** Currencies without two decimals (ISO 4217). */
    private const DECIMALS = ['JPY' => 0, 'KRW' => 0, 'ISK' => 0, 'VND' => 0, 'CLP' => 0, 'BHD' => 3, 'JOD' => 3, 'KWD' => 3, 'OMR' => 3, 'TND' => 3];

    /** Decimals of energy and minutes: enough to lose nothing, and few enough to drop a float's last digits. */
    private const EXACT_DECIMALS = 9;

    private function __construct(private Tariff $tariff, private Usage $usage, private bool $isMember)
    {
    }

    /** @return self|null null when the place has no tariff */
    public static function of(?Tariff $tariff, Usage $usage, bool $isMember = false): ?self
    {
        return $tariff === null ? null : new self($tariff, $usage, $isMember);
    }

    /** What a forecast session costs; null when nothing flows or there is no tariff. */
    public static function ofForecast(Forecast $forecast, Conditions $conditions): ?self
    {
        return $forecast->isGiven()
            ? self::of($forecast->answer->chain->outlet->site->tariff, Usage::of($forecast, $conditions->visit->idleMinutes), $conditions->visit->member)
            : null;
    }

    public function currency(): string
    {
        return $this->tariff->currency;
    }

    /** What this driver pays; a member's monthly fee is separate. */
    public function amount(): ?string
    {
        return $this->isMember && $this->tariff->membership !== null ? $this->withMembership() : $this->withoutMembership();
    }

    public function withoutMembership(): ?string
    {
        return $this->rounded($this->sum($this->tariff->perKwh));
    }

    /** Null when there is no membership, too. */
    public function withMembership(): ?string
    {
        return $this->tariff->membership === null ? null : $this->rounded($this->sum($this->tariff->membership->perKwh));
    }

    /** What this driver pays for energy and minutes, without session and idle fees. */
    public function runningAmount(): ?string
    {
        return $this->rounded($this->running($this->perKwh()));
    }

    public function idleFee(): ?string
    {
        return $this->rounded($this->idle());
    }

    /** @return list<Message> the prices that make the amount unknown */
    public function unread(): array
    {
        return [
            ...($this->perKwh() === null ? [Message::of('price.per_kwh')] : []),
            ...($this->minutes() === null ? [Message::of('price.per_minute')] : []),
            ...($this->tariff->sessionFee === null ? [Message::of('price.session_fee')] : []),
            ...($this->idle() === null ? [Message::of('price.idle')] : []),
        ];
    }

    /** kWh a month from which the membership pays; null when it never does, or there is none. */
    public function breakEvenKwhPerMonth(): ?string
    {
        $saving = $this->savingPerKwh();

        return $saving === null
            ? null
            : (string) self::money($this->tariff->membership?->monthlyFee)->dividedBy($saving, 2, RoundingMode::HALF_UP);
    }

    /** Sessions like this one in a month from which the membership pays; null when it never does. */
    public function breakEvenSessionsPerMonth(): ?int
    {
        $saving = $this->savingPerKwh()?->multipliedBy($this->kwh());

        return $saving === null || $saving->isZero()
            ? null
            : self::money($this->tariff->membership?->monthlyFee)->dividedBy($saving, 0, RoundingMode::CEILING)->toInt();
    }

    private function savingPerKwh(): ?BigDecimal
    {
        if ($this->tariff->membership === null || $this->tariff->perKwh === null) {
            return null;
        }
        $saving = self::money($this->tariff->perKwh)->minus(self::money($this->tariff->membership->perKwh));

        return $saving->isPositive() ? $saving : null;
    }

    private function perKwh(): ?string
    {
        return $this->isMember ? ($this->tariff->membership->perKwh ?? $this->tariff->perKwh) : $this->tariff->perKwh;
    }

    /** Whether a price is unread, so that the amount covers only the known part. */
    public function isAtLeast(): bool
    {
        return $this->unread() !== [];
    }

    /** What is known; null when nothing is. */
    private function sum(?string $perKwh): ?BigDecimal
    {
        $energy = $perKwh === null ? null : self::money($perKwh)->multipliedBy($this->kwh());
        $fee = $this->tariff->sessionFee === null ? null : self::money($this->tariff->sessionFee);
        $parts = array_values(array_filter([$energy, $this->minutes(), $fee, $this->tariff->idlePerMinute === null ? null : $this->idle()], static fn (?BigDecimal $part): bool => $part !== null));

        return array_reduce($parts, static fn (?BigDecimal $sum, BigDecimal $part): BigDecimal => $sum === null ? $part : $sum->plus($part));
    }

    private function running(?string $perKwh): ?BigDecimal
    {
        $minutes = $this->minutes();

        return $perKwh === null || $minutes === null ? null : self::money($perKwh)->multipliedBy($this->kwh())->plus($minutes);
    }

    /** The price of the minutes, flat and by band. Minutes below the lowest band, such as a handshake, are paid as in it. */
    private function minutes(): ?BigDecimal
    {
        [$flat, $bands] = [$this->tariff->perMinute, $this->tariff->minuteBands];
        if ($flat === null && $bands === []) {
            return null;
        }
        $sum = self::money($flat)->multipliedBy(self::decimal($this->usage->minutes()));
        foreach ($bands as $i => $band) {
            $next = $bands[$i + 1] ?? null;
            $minutes = $this->usage->minutesBetween($i === 0 ? -INF : $band->fromKw, $next instanceof MinuteBand ? $next->fromKw : INF);
            $sum = $sum->plus(self::money($band->perMinute)->multipliedBy(self::decimal($minutes)));
        }

        return $sum;
    }

    private function idle(): ?BigDecimal
    {
        [$price, $grace, $idle] = [$this->tariff->idlePerMinute, $this->tariff->idleGraceMinutes, $this->usage->idleMinutes];

        return match (true) {
            $idle <= ($grace ?? 0.0), $price !== null && self::money($price)->isZero() => BigDecimal::zero(),
            $price === null || $grace === null => null,
            default => self::money($price)->multipliedBy(self::decimal($idle - $grace)),
        };
    }

    private function kwh(): BigDecimal
    {
        return self::decimal($this->usage->plugKwh);
    }

    private function rounded(?BigDecimal $amount): ?string
    {
        return $amount === null ? null : (string) $amount->toScale(self::DECIMALS[$this->tariff->currency] ?? 2, RoundingMode::HALF_UP);
    }

    private static function money(?string $amount): BigDecimal
    {
        return BigDecimal::of($amount ?? '0');
    }

    private static function decimal(float $value): BigDecimal
    {
        return BigDecimal::of(number_format($value, self::EXACT_DECIMALS, '.', ''));
    }
}
