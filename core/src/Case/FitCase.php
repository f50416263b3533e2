<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\PastTrouble;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\ChangeFinder;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Message;

/** What a case file holds: one vehicle, a kit, one outlet, a policy and the conditions. */
final readonly class FitCase
{
    /** @param  list<Adapter>  $adapters */
    public function __construct(
        public Vehicle $vehicle,
        public array $adapters,
        public Outlet $outlet,
        public AdapterPolicy $policy,
        public Conditions $conditions,
    ) {
    }

    /**
     * The adapters with these ids, in this order, from the kit or the station.
     *
     * @param  list<string>  $ids
     * @return list<Adapter>
     *
     * @throws FieldError when one is in neither
     */
    public function pieces(array $ids): array
    {
        $known = [];
        foreach ([...$this->adapters, ...($this->outlet->fittings->attachedAdapter === null ? [] : [$this->outlet->fittings->attachedAdapter])] as $adapter) {
            $known[$adapter->id] = $adapter;
        }

        return array_map(static fn (string $id): Adapter => $known[$id] ?? throw FieldError::at('adapters', Message::of('field.not_in_case', id: $id)), $ids);
    }

    /** @param  array<string, PastTrouble>  $remembered  what earlier sessions found wrong, by outlet id */
    public function remembering(array $remembered): self
    {
        return new self($this->vehicle, $this->adapters, $this->outlet, $this->policy, $this->conditions->remembering($remembered));
    }

    public function changes(Catalogue $catalogue): ChangeFinder
    {
        return new ChangeFinder($this->adapters, $this->conditions, $this->policy, $catalogue);
    }

    public function fitter(): Fitter
    {
        return new Fitter($this->adapters, $this->conditions, $this->policy);
    }
}
