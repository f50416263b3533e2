<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
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

    /**
     * The kit without duplicates of equal rating and temperature, which a fleet has many of: of equal chains the first
     * in the kit is the answer, and one that is at hand goes before one that is lent. One that could be stacked on
     * another of its kind stays, so that the stack is refused.
     *
     * @param  list<Adapter>  $kit
     * @return list<Adapter>
     */
    public static function distinct(array $kit, Conditions $conditions): array
    {
        $distinct = [];
        foreach ($kit as $adapter) {
            $key = $adapter->input->is($adapter->output) ? $adapter->id : $adapter->kindKey().$conditions->earlierUse->thetaOf($adapter->id);
            if (! isset($distinct[$key]) || ($distinct[$key]->isLent() && ! $adapter->isLent())) {
                $distinct[$key] = $adapter;
            }
        }

        return array_values($distinct);
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
