<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The kinds a board groups its rows by. */
enum OutletGroup: string
{
    case Sockets = 'sockets';
    case AcPosts = 'ac';
    case CombinedDc = 'dc';
    case Hubs = 'hubs';
    case Other = 'other';
    case Historic = 'historic';

    public static function of(Outlet $outlet): self
    {
        return match (true) {
            $outlet->coupler->family->isHistoric() => self::Historic,
            $outlet->coupler->isSocket() => self::Sockets,
            $outlet->coupler->family === CouplerFamily::Ccs1, $outlet->coupler->family === CouplerFamily::Ccs2 => self::CombinedDc,
            $outlet->coupler->family === CouplerFamily::J3400 && $outlet->current === CurrentKind::Dc => self::Hubs,
            $outlet->coupler->family === CouplerFamily::GbtAc => self::Other,
            $outlet->current === CurrentKind::Ac => self::AcPosts,
            default => self::Other,
        };
    }
}
