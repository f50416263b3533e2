<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\Outlet;

/** A kind of charger as a person meets it, with a usual plate. */
final readonly class ChargerKind
{
    /**
     * @param  string  $seen  what a person sees on it
     * @param  list<string>  $read  facts that must be read off its own plate before they are believed
     */
    public function __construct(
        public string $id,
        public string $group,
        public string $name,
        public string $seen,
        public array $read,
        public Outlet $outlet,
    ) {
    }
}
