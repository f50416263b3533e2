<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\ChainAnswer;
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

    /** @return \Generator<int, ChainAnswer> the best answer of every pair, outlet by outlet */
    public function board(): \Generator
    {
        $fitter = new Fitter($this->adapters, $this->conditions, $this->policy);
        foreach ($this->outlets as $outlet) {
            foreach ($this->vehicles as $vehicle) {
                yield $fitter->bestOf($outlet, $vehicle);
            }
        }
    }
}
