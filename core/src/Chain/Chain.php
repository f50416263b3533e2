<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/** An outlet, adapters in the order the current passes through them, and one inlet of one vehicle. */
final readonly class Chain
{
    /** The station's cable as a link; its id in plates, heat loads and bindings. */
    public const CABLE = 'cable';

    public Inlet $inlet;

    /** What the outlet gives. */
    public CurrentKind $current;

    /** @param  list<Adapter>  $adapters */
    public function __construct(
        public Outlet $outlet,
        public array $adapters,
        public Vehicle $vehicle,
        public int $inletIndex,
    ) {
        $this->current = $outlet->rating->current;
        $this->inlet = $vehicle->inlets[$inletIndex]
            ?? throw NoSuchInlet::of($vehicle->id, $inletIndex);
    }

    /** The same adapters, with another record of the vehicle or the outlet. */
    public function of(?Outlet $outlet = null, ?Vehicle $vehicle = null): self
    {
        return new self($outlet ?? $this->outlet, $this->adapters, $vehicle ?? $this->vehicle, $this->inletIndex);
    }

    /** The same with another record of its inlet. */
    public function through(Inlet $inlet): self
    {
        return $this->of(vehicle: $this->vehicle->withInlet($this->inletIndex, $inlet));
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

    /** @return list<string> */
    public function adapterNames(): array
    {
        return array_map(static fn (Adapter $a): string => $a->name, $this->adapters);
    }

    /** @return list<string> outlet, adapters, inlet */
    public function linkIds(): array
    {
        return [$this->outlet->id, ...$this->adapterIds(), $this->inletLink()];
    }

    /** Whether it has an adapter that is wired for AC only while the outlet gives DC. */
    public function isAcOnlyAtDc(): bool
    {
        return $this->current === CurrentKind::Dc
            && array_filter($this->adapters, static fn (Adapter $a): bool => $a->passes->current === CurrentKind::Ac) !== [];
    }

    /**
     * Whether the contacts on the car's side of an adapter see the outlet's current. An AC-only adapter at a DC outlet
     * passes it on where its output shares or includes DC contacts.
     */
    public function passesContacts(Adapter $adapter): bool
    {
        return $this->current !== CurrentKind::Dc || $adapter->passes->current !== CurrentKind::Ac || $adapter->output->family->carries(CurrentKind::Dc);
    }

    /** Whether AC-only adapters still put the outlet's DC on the car's own DC contacts. */
    public function reachesContacts(): bool
    {
        return $this->isAcOnlyAtDc()
            && $this->outlet->coupler->family->carries(CurrentKind::Dc)
            && $this->inlet->has(CurrentKind::Dc)
            && array_filter($this->adapters, fn (Adapter $a): bool => ! $this->passesContacts($a)) === [];
    }

    /** Phases that both the supply and the onboard charger have; 1 for DC, so that kW is V × A × phases / 1000. */
    public function phases(): int
    {
        if ($this->current === CurrentKind::Dc) {
            return 1;
        }

        return min($this->outlet->feed->supply->phases ?? 1, $this->inlet->ac->phases ?? 1);
    }
}
