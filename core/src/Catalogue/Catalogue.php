<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\Adapter;

/**
 * Kinds of charger with their usual plates, and kinds of adapter that can be bought. Each part is loaded when it is
 * first needed: most questions need one or none.
 */
final class Catalogue
{
    /** @var array<string, string>|null */
    private ?array $groups = null;

    /** @var list<ChargerKind>|null */
    private ?array $chargers = null;

    /** @var list<Adapter>|null */
    private ?array $adapters = null;

    /**
     * @param  \Closure(): array<string, string>  $readGroups
     * @param  \Closure(): list<ChargerKind>  $readChargers
     * @param  \Closure(): list<Adapter>  $readAdapters
     */
    public function __construct(private readonly \Closure $readGroups, private readonly \Closure $readChargers, private readonly \Closure $readAdapters)
    {
    }

    /** @return array<string, string> names of the groups of chargers, in order, by id */
    public function groups(): array
    {
        return $this->groups ??= ($this->readGroups)();
    }

    /** @return list<ChargerKind> */
    public function chargers(): array
    {
        return $this->chargers ??= ($this->readChargers)();
    }

    /** @return list<Adapter> kinds, of which no piece has been seen */
    public function adapters(): array
    {
        return $this->adapters ??= ($this->readAdapters)();
    }

    /** @return list<Adapter> a sound one of every kind, as it would have to be bought */
    public function forSale(): array
    {
        return array_map(static fn (Adapter $kind): Adapter => $kind->forSale(), $this->adapters());
    }

    /**
     * For a socket, a kind of charger is answered with the usual portable supply as a piece to buy.
     *
     * @param  list<Adapter>  $kit
     * @return list<Adapter> the portable supplies, of which the kit holds none with the same two ends
     */
    public function suppliesBeside(array $kit): array
    {
        return array_values(array_filter($this->forSale(), static fn (Adapter $supply): bool => $supply->isPortableSupply()
            && array_filter($kit, static fn (Adapter $own): bool => $own->input->is($supply->input) && $own->output->is($supply->output)) === []));
    }
}
