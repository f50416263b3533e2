<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\Adapter;

/** What exists in the world: kinds of charger with their usual plates, and kinds of adapter that can be bought. */
final readonly class Catalogue
{
    /**
     * @param  array<string, string>  $groups  names of the groups of chargers, in order, by id
     * @param  list<ChargerKind>  $chargers
     * @param  list<Adapter>  $adapters  kinds, of which no piece has been seen
     */
    public function __construct(public array $groups, public array $chargers, public array $adapters)
    {
    }

    /** @return list<Adapter> a sound one of every kind, as it would have to be bought */
    public function forSale(): array
    {
        return array_map(static fn (Adapter $kind): Adapter => $kind->forSale(), $this->adapters);
    }
}
