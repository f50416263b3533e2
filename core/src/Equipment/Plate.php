<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/**
 * What is stamped on a piece: rated volts, continuous amps, optionally boost amps for some minutes, kW, and the
 * temperatures the amps hold for. Null is a figure that nobody has read yet.
 */
final readonly class Plate
{
    /** The ambient that a rating holds for, and the hottest contact, unless the plate says otherwise (°C). */
    public const DEFAULT_RATED_AT_C = 25.0;

    public const DEFAULT_LIMIT_C = 90.0;

    private function __construct(
        public ?float $maxV,
        public ?float $continuousA,
        public ?float $boostA,
        public ?float $boostMinutes,
        public ?float $maxKw,
        public float $ratedAtC,
        public float $limitC,
    ) {
    }

    /** @throws ImpossibleValue */
    public static function of(
        ?float $maxV = null,
        ?float $continuousA = null,
        ?float $boostA = null,
        ?float $boostMinutes = null,
        ?float $maxKw = null,
        ?float $ratedAtC = null,
        ?float $limitC = null,
    ): self {
        $ratedAtC ??= self::DEFAULT_RATED_AT_C;
        $limitC ??= self::DEFAULT_LIMIT_C;
        if ($boostA !== null && $continuousA !== null && $boostA < $continuousA) {
            throw ImpossibleValue::of('boost_a', Message::of('value.boost_low', boost: Amount::asGiven($boostA), continuous: Amount::asGiven($continuousA)));
        }
        if ($boostA !== null && $boostMinutes === null) {
            throw ImpossibleValue::of('boost_minutes', Message::of('value.boost_minutes'));
        }
        if ($limitC <= $ratedAtC) {
            throw ImpossibleValue::of('limit_c', Message::of('value.limit_low', limit: Amount::asGiven($limitC, Unit::Celsius), rated: Amount::asGiven($ratedAtC, Unit::Celsius)));
        }

        return new self($maxV, $continuousA, $boostA, $boostMinutes, $maxKw, $ratedAtC, $limitC);
    }

    /** The most amps the plate ever allows; null when no amps were read. */
    public function peakA(): ?float
    {
        return $this->boostA ?? $this->continuousA;
    }

    public function hasBoost(): bool
    {
        return $this->boostA !== null && $this->continuousA !== null && $this->boostA > $this->continuousA;
    }
}
