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

    public static function of(Coupler $coupler, CurrentKind $current): self
    {
        return match (true) {
            $coupler->family->isHistoric() => self::Historic,
            $coupler->isSocket() => self::Sockets,
            $coupler->family === CouplerFamily::Ccs1, $coupler->family === CouplerFamily::Ccs2 => self::CombinedDc,
            $coupler->family === CouplerFamily::J3400 && $current === CurrentKind::Dc => self::Hubs,
            $coupler->family === CouplerFamily::GbtAc => self::Other,
            $current === CurrentKind::Ac => self::AcPosts,
            default => self::Other,
        };
    }
}
