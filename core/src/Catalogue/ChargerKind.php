<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\Outlet;

/** A kind of charger as a person meets it, with a usual plate. */
final readonly class ChargerKind
{
    /**
     * @param  list<Region>  $regions  where it exists; none for one of the past
     * @param  string  $seen  what a person sees on it
     * @param  list<string>  $read  facts that must be read off its own plate before they are believed
     */
    public function __construct(
        public string $id,
        public string $group,
        public array $regions,
        public string $name,
        public string $seen,
        public array $read,
        public Outlet $outlet,
    ) {
    }

    /** Whether it exists in a region; elsewhere, everything in use today exists. */
    public function isIn(Region $region): bool
    {
        return in_array($region, $this->regions, true) || ($region === Region::Elsewhere && $this->regions !== []);
    }
}
