<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Outlet;

/** An outlet and the place it belongs to. */
final readonly class PlacedOutlet
{
    /** @param  string  $place  the place's id; an outlet without a place is a place of its own */
    public function __construct(public Outlet $outlet, public string $place)
    {
    }
}
