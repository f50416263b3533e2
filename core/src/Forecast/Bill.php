<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\MinuteBand;
use Harmozon\Core\Equipment\Tariff;

/**
 * What a session costs under a tariff. Decimal arithmetic; the meter counts whole watt-hours and hundredths of a
 * minute; amounts are rounded once, at the end, to the currency's smallest coin.
 */
final readonly class Bill
{
    /** Currencies without two decimals (ISO 4217). */
    private const DECIMALS = ['JPY' => 0, 'KRW' => 0, 'ISK' => 0, 'VND' => 0, 'CLP' => 0, 'BHD' => 3, 'JOD' => 3, 'KWD' => 3, 'OMR' => 3, 'TND' => 3];

    private const KWH_DECIMALS = 3;

    private const MINUTE_DECIMALS = 2;

    private function __construct(private Tariff $tariff, private Usage $usage, private bool $isMember)
    {
    }

    /** @return self|null null when neither a price by kWh nor one by minute has been read */
    public static function of(?Tariff $tariff, Usage $usage, bool $isMember = false): ?self
    {
        return $tariff === null || ($tariff->perKwh === null && $tariff->perMinute === null && $tariff->minuteBands === [])
            ? null
            : new self($tariff, $usage, $isMember);
    }

    /** What a forecast session costs; null when nothing flows or no price was read. */
    public static function ofForecast(Forecast $forecast, Conditions $conditions): ?self
    {
        return $forecast->isGiven()
            ? self::of($forecast->answer->chain->outlet->tariff, Usage::of($forecast, $conditions->idleMinutes), $conditions->member)
            : null;
    }

    public function currency(): string
    {
        return $this->tariff->currency;
    }

    /** What this driver pays; a member's monthly fee stands apart. */
    public function amount(): string
    {
        return $this->isMember ? ($this->withMembership() ?? $this->withoutMembership()) : $this->withoutMembership();
    }

    public function withoutMembership(): string
    {
        return $this->rounded($this->sum($this->tariff->perKwh));
    }

    /** Null when there is no membership. */
    public function withMembership(): ?string
    {
        return $this->tariff->membership === null ? null : $this->rounded($this->sum($this->tariff->membership->perKwh));
    }

    /** What this driver pays for energy and minutes alone, without what is paid once or after the end. */
    public function runningAmount(): string
    {
        return $this->rounded($this->running($this->isMember ? ($this->tariff->membership->perKwh ?? $this->tariff->perKwh) : $this->tariff->perKwh));
    }

    public function idleFee(): string
    {
        return $this->rounded($this->idle());
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

    private function sum(?string $perKwh): BigDecimal
    {
        return $this->running($perKwh)->plus(self::money($this->tariff->sessionFee))->plus($this->idle());
    }

    private function running(?string $perKwh): BigDecimal
    {
        return self::money($perKwh)->multipliedBy($this->kwh())->plus($this->minutes());
    }

    /** The price of the minutes, flat and by band. */
    private function minutes(): BigDecimal
    {
        $sum = self::money($this->tariff->perMinute)->multipliedBy(self::decimal($this->usage->minutes(), self::MINUTE_DECIMALS));
        $bands = $this->tariff->minuteBands;
        foreach ($bands as $i => $band) {
            $next = $bands[$i + 1] ?? null;
            $minutes = $this->usage->minutesBetween($band->fromKw, $next instanceof MinuteBand ? $next->fromKw : INF);
            $sum = $sum->plus(self::money($band->perMinute)->multipliedBy(self::decimal($minutes, self::MINUTE_DECIMALS)));
        }

        return $sum;
    }

    private function idle(): BigDecimal
    {
        $charged = max(0.0, $this->usage->idleMinutes - ($this->tariff->idleGraceMinutes ?? 0.0));

        return self::money($this->tariff->idlePerMinute)->multipliedBy(self::decimal($charged, self::MINUTE_DECIMALS));
    }

    private function kwh(): BigDecimal
    {
        return self::decimal($this->usage->plugKwh, self::KWH_DECIMALS);
    }

    private function rounded(BigDecimal $amount): string
    {
        return (string) $amount->toScale(self::DECIMALS[$this->tariff->currency] ?? 2, RoundingMode::HALF_UP);
    }

    private static function money(?string $amount): BigDecimal
    {
        return BigDecimal::of($amount ?? '0');
    }

    private static function decimal(float $value, int $decimals): BigDecimal
    {
        return BigDecimal::of(number_format($value, $decimals, '.', ''));
    }
}
