<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Heating or cooling an occupied cabin while the car charges, as people describe it, with its usual power. */
enum Cabin: string implements Term
{
    case Off = 'off';
    case Mild = 'mild';
    case Strong = 'strong';

    /** From the car's side, between plug and battery (kW). */
    public function usualKw(): float
    {
        return match ($this) {
            self::Off => 0.0,
            self::Mild => 1.0,
            self::Strong => 3.0,
        };
    }

    public function message(): Message
    {
        return match ($this) {
            self::Off => Message::of('cabin.off'),
            self::Mild => Message::of('cabin.mild'),
            self::Strong => Message::of('cabin.strong'),
        };
    }
}
