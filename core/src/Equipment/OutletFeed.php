<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Where an outlet's power comes from: a cabinet that may be shared, for DC; the building's supply, for AC. */
final readonly class OutletFeed
{
    public function __construct(public ?Cabinet $cabinet = null, public ?Supply $supply = null)
    {
    }
}
