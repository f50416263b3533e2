<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

enum LinkKind: string
{
    case Outlet = 'outlet';
    case Cable = 'cable';
    case Adapter = 'adapter';
    case Inlet = 'inlet';
    case Converter = 'converter';

    /** Whether a missing figure of this quantity is worth asking for: plates of these kinds carry it. */
    public function shows(Quantity $quantity): bool
    {
        return match ($this) {
            self::Outlet, self::Adapter, self::Inlet => $quantity !== Quantity::Kw,
            self::Cable => $quantity === Quantity::Amps,
            self::Converter => false,
        };
    }
}
