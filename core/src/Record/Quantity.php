<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** What a plate limits. */
enum Quantity: string
{
    case Volts = 'v';
    case Amps = 'a';
    case Kw = 'kw';

    public function unit(): string
    {
        return match ($this) {
            self::Volts => 'V',
            self::Amps => 'A',
            self::Kw => 'kW',
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Volts => 'volts',
            self::Amps => 'amps',
            self::Kw => 'kW',
        };
    }
}
