<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** A quantity that a rating limits. */
enum Quantity: string implements Term
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

    public function amount(?float $value): Amount
    {
        return match ($this) {
            self::Volts => Amount::volts($value),
            self::Amps => Amount::amps($value),
            self::Kw => Amount::kw($value),
        };
    }

    public function message(): Message
    {
        return Message::of('quantity.'.$this->value);
    }
}
