<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Adapter;
use App\Models\Network;
use App\Models\Outlet;
use App\Models\Piece;
use App\Models\Place;
use App\Models\Tour;
use App\Models\Vehicle;
use App\Models\Wish;
use Harmozon\Core\Chain\FactOwner;

/** The kinds of pieces in a garage, as named in URLs. */
enum PieceKind: string
{
    case Vehicles = 'vehicles';
    case Adapters = 'adapters';
    case Outlets = 'outlets';
    case Places = 'places';
    case Networks = 'networks';
    case Tours = 'tours';

    /** Adapters that aren't owned yet. */
    case Wishes = 'wishes';

    /** @return class-string<Piece|Place> */
    public function model(): string
    {
        return match ($this) {
            self::Vehicles => Vehicle::class,
            self::Adapters => Adapter::class,
            self::Outlets => Outlet::class,
            self::Places => Place::class,
            self::Networks => Network::class,
            self::Tours => Tour::class,
            self::Wishes => Wish::class,
        };
    }

    /** The most of this kind in a garage: a fleet and its region. */
    public function most(): int
    {
        return match ($this) {
            self::Vehicles => 200,
            self::Adapters => 300,
            self::Outlets => 5000,
            self::Places => 2000,
            self::Networks, self::Tours, self::Wishes => 200,
        };
    }

    /** The owner of the facts on its plate; null where it has none. */
    public function facts(): ?FactOwner
    {
        return match ($this) {
            self::Vehicles => FactOwner::Vehicle,
            self::Adapters, self::Wishes => FactOwner::Adapter,
            self::Outlets => FactOwner::Outlet,
            self::Places, self::Networks, self::Tours => null,
        };
    }

    public function hasPlate(): bool
    {
        return $this !== self::Places;
    }
}
