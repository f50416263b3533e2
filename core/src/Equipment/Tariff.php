<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Brick\Math\BigDecimal;

/** What a session costs. Money is kept as decimal strings in one currency, as shown at the charger. */
final readonly class Tariff
{
    /** @param  list<MinuteBand>  $minuteBands  price per minute by the power taken, from the lowest band up; empty when it is flat */
    public function __construct(
        public string $currency,
        public ?string $perKwh,
        public ?string $perMinute,
        public ?string $sessionFee,
        public ?string $idlePerMinute,
        public ?float $idleGraceMinutes,
        public ?Membership $membership,
        public array $minuteBands = [],
    ) {
    }

    /** Minutes after the end at which an idle fee begins; null where there is none, or nobody has read it. */
    public function idleFeeAfterMinutes(): ?float
    {
        return $this->idlePerMinute === null || BigDecimal::of($this->idlePerMinute)->isZero() ? null : $this->idleGraceMinutes;
    }
}
