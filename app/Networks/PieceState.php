<?php

declare(strict_types=1);

namespace App\Networks;

use App\Models\Outlet;
use App\Models\Place;

/** A place or an outlet as it was at a moment, for undoing. */
final class PieceState
{
    /** @return array<string, mixed> */
    public static function of(Place|Outlet $piece): array
    {
        return [
            'name' => $piece->name,
            'origin' => $piece->origin,
            'aside' => $piece->trashed(),
            ...($piece instanceof Outlet ? ['spec' => $piece->plate()] : []),
        ];
    }
}
