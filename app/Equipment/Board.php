<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use App\Models\Vehicle;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter as CoreAdapter;
use Harmozon\Core\Files\FitWriter;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Fitter;

/** Every car of the garage at every outlet. */
final class Board
{
    public function __construct(private readonly Crate $crate, private readonly FitWriter $writer)
    {
    }

    /**
     * @param  list<CoreAdapter>  $kit
     * @return list<array<string, mixed>> one cell a pair
     */
    public function cells(array $kit, AdapterPolicy $policy, Conditions $conditions): array
    {
        $fitter = new Fitter($kit, $conditions, $policy);
        $vehicles = Vehicle::inOrder()->map($this->crate->vehicle(...));
        $cells = [];
        foreach (Outlet::inOrder()->map($this->crate->outlet(...)) as $outlet) {
            foreach ($vehicles as $vehicle) {
                $cells[] = $this->writer->cell($fitter->bestOf($outlet, $vehicle));
            }
        }

        return $cells;
    }
}
