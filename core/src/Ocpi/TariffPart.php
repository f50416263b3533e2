<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Words\Message;

/** What a tariff charges for: TariffDimensionType of OCPI 2.2.1. */
enum TariffPart: string
{
    case Energy = 'ENERGY';
    case Time = 'TIME';
    case Flat = 'FLAT';
    case Parking = 'PARKING_TIME';

    /** Its field in a tariff. */
    public function field(): string
    {
        return match ($this) {
            self::Energy => 'per_kwh',
            self::Time => 'per_minute',
            self::Flat => 'session_fee',
            self::Parking => 'idle_per_minute',
        };
    }

    /** The interface prices time by the hour, a plate by the minute. */
    public function pricedUnitsPerOurs(): int
    {
        return $this === self::Time || $this === self::Parking ? 60 : 1;
    }

    /** Largest billing step too small to mention: 1 kWh (in Wh), 1 min (in s). */
    public function largestSilentStep(): int
    {
        return match ($this) {
            self::Energy => 1000,
            self::Time, self::Parking => 60,
            self::Flat => PHP_INT_MAX,
        };
    }

    /** Inside a sentence: "its price per kWh". */
    public function message(): Message
    {
        return match ($this) {
            self::Energy => Message::of('tariff_part.energy'),
            self::Time => Message::of('tariff_part.time'),
            self::Flat => Message::of('tariff_part.flat'),
            self::Parking => Message::of('tariff_part.parking'),
        };
    }
}
