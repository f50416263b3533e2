<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/** Every car of a garage at every outlet. */
final readonly class Board
{
    /**
     * @param  iterable<Vehicle>  $vehicles
     * @param  iterable<Outlet>  $outlets
     */
    public function __construct(private Fitter $fitter, private iterable $vehicles, private iterable $outlets)
    {
    }

    /** @return \Generator<int, Answer> for every pair, outlet by outlet */
    public function answers(): \Generator
    {
        foreach ($this->outlets as $outlet) {
            foreach ($this->vehicles as $vehicle) {
                yield $this->fitter->answer($outlet, $vehicle);
            }
        }
    }
}
