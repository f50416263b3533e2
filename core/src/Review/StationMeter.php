<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Brick\Math\BigDecimal;
use Harmozon\Core\Equipment\Tariff;
use Harmozon\Core\Forecast\Bill;
use Harmozon\Core\Forecast\Usage;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** The station's metered energy and price, compared with the readings and the tariff. */
final readonly class StationMeter
{
    /** A station's meter counts before losses that a car's screen doesn't see: a difference up to this share is normal. */
    private const ENERGY_SHARE = 0.05;

    /** Allowed difference in price: rounding, and started minutes. */
    private const PRICE_SHARE = '0.03';

    /**
     * @param  float|null  $stationKwh  as the station says
     * @param  float|null  $readKwh  from the readings
     * @param  float|null  $minutes  from plugging in to the end
     * @param  array{amount: string, currency: string}|null  $paid
     */
    public function __construct(
        private ?Tariff $tariff,
        private bool $isMember,
        private ?float $stationKwh,
        private ?float $readKwh,
        private ?float $minutes,
        private ?array $paid,
    ) {
    }

    /** By the tariff, for the metered energy, else for the read one; null when either is not known. */
    public function tariffAmount(): ?string
    {
        $kwh = $this->stationKwh ?? $this->readKwh;
        if ($kwh === null || $this->minutes === null || $this->minutes <= 0) {
            return null;
        }
        $meanKw = $kwh / $this->minutes * 60;

        $bill = Bill::of($this->tariff, new Usage($kwh, [[$this->minutes, $meanKw, $meanKw]]), $this->isMember);

        // What is known of a price is no price to compare with.
        return $bill?->isAtLeast() === true ? null : $bill?->amount();
    }

    /** @return list<Message> nothing about what nobody has read or typed */
    public function messages(): array
    {
        return [...$this->energy(), ...$this->price()];
    }

    /** @return list<Message> */
    private function energy(): array
    {
        if ($this->stationKwh === null || $this->readKwh === null || $this->readKwh <= 0.0) {
            return [];
        }
        $share = round($this->stationKwh / $this->readKwh - 1, 9);
        $code = match (true) {
            abs($share) <= self::ENERGY_SHARE => 'counted.same',
            $share > 0 => 'counted.more',
            default => 'counted.less',
        };

        return [Message::of($code, station: Amount::kwh($this->stationKwh), read: Amount::kwh($this->readKwh), share: Amount::ofHundred(abs($share)))];
    }

    /** @return list<Message> */
    private function price(): array
    {
        if ($this->paid === null || $this->tariff === null) {
            return [];
        }
        $paid = Amount::money($this->paid['amount'], $this->paid['currency']);
        if ($this->paid['currency'] !== $this->tariff->currency) {
            return [Message::of('counted.other_currency', paid: $paid, currency: $this->tariff->currency)];
        }
        $tariff = $this->tariffAmount();
        if ($tariff === null) {
            return [Message::of('counted.no_tariff', paid: $paid)];
        }
        $difference = BigDecimal::of($this->paid['amount'])->minus($tariff);
        $code = match (true) {
            $difference->abs()->isLessThanOrEqualTo(BigDecimal::of($tariff)->multipliedBy(self::PRICE_SHARE)) => 'counted.as_tariff',
            $difference->isPositive() => 'counted.above_tariff',
            default => 'counted.below_tariff',
        };

        return [Message::of($code, paid: $paid, tariff: Amount::money($tariff, $this->tariff->currency))];
    }
}
