<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Alternating or direct current, as it passes the plug. */
enum CurrentKind: string
{
    case Ac = 'ac';
    case Dc = 'dc';

    public function words(): string
    {
        return match ($this) {
            self::Ac => 'AC',
            self::Dc => 'DC',
        };
    }
}
