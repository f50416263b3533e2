<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What a link is. */
enum LinkKind: string implements Term
{
    case Outlet = 'outlet';
    case Cable = 'cable';
    case Adapter = 'adapter';
    case Inlet = 'inlet';
    case Converter = 'converter';
    case Pack = 'pack';

    /** Whether it warms up under load and allows less then. */
    public function heats(): bool
    {
        return $this === self::Cable || $this === self::Adapter;
    }

    /** Whether a missing figure of this quantity is worth asking for: plates of this kind show it. */
    public function shows(Quantity $quantity): bool
    {
        return match ($this) {
            self::Outlet, self::Adapter, self::Inlet => $quantity !== Quantity::Kw,
            self::Cable => $quantity === Quantity::Amps,
            self::Converter, self::Pack => false,
        };
    }

    public function message(): Message
    {
        return Message::of('link_kind.'.$this->value);
    }
}
