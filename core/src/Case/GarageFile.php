<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Board;
use Harmozon\Core\Fit\Fitter;

/** A whole garage: every car, the kit, every outlet. */
final readonly class GarageFile
{
    /**
     * @param  list<Vehicle>  $vehicles
     * @param  list<Adapter>  $adapters
     * @param  list<Outlet>  $outlets
     */
    public function __construct(
        public array $vehicles,
        public array $adapters,
        public array $outlets,
        public AdapterPolicy $policy,
        public Conditions $conditions,
    ) {
    }

    public function board(): Board
    {
        return new Board(new Fitter($this->adapters, $this->conditions, $this->policy), $this->vehicles, $this->outlets);
    }
}
