<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/** Outlet, adapters in the order the current passes them, and one inlet of one vehicle. */
final readonly class Chain
{
    /** The station's cable as a link; its id in plates, heat loads and bindings. */
    public const CABLE = 'cable';

    public Inlet $inlet;

    /** @param  list<Adapter>  $adapters */
    public function __construct(
        public Outlet $outlet,
        public array $adapters,
        public Vehicle $vehicle,
        public int $inletIndex,
    ) {
        $this->inlet = $vehicle->inlets[$inletIndex]
            ?? throw new \OutOfRangeException(sprintf('vehicle %s has no inlet %d', $vehicle->id, $inletIndex));
    }

    public function current(): CurrentKind
    {
        return $this->outlet->current;
    }

    public function inletLink(): string
    {
        return $this->vehicle->id.'#'.$this->inletIndex;
    }

    /** @return list<string> */
    public function adapterIds(): array
    {
        return array_map(static fn (Adapter $a): string => $a->id, $this->adapters);
    }

    /** @return list<string> outlet, adapters, inlet */
    public function linkIds(): array
    {
        return [$this->outlet->id, ...$this->adapterIds(), $this->inletLink()];
    }

    /** Phases that both the supply and the onboard charger have; 1 for DC, so that kW is V × A × phases / 1000. */
    public function phases(): int
    {
        if ($this->current() === CurrentKind::Dc) {
            return 1;
        }

        return min($this->outlet->supply->phases ?? 1, $this->inlet->ac->phases ?? 1);
    }
}
