<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use App\Models\Vehicle;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter as CoreAdapter;
use Harmozon\Core\Files\FitWriter;
use Harmozon\Core\Files\GarageFile;
use Harmozon\Core\Fit\AdapterPolicy;

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
        $garage = new GarageFile(
            array_values(Vehicle::inOrder()->map($this->crate->vehicle(...))->all()),
            $kit,
            array_values(Outlet::inOrder()->map($this->crate->outlet(...))->all()),
            $policy,
            $conditions,
        );

        return array_map($this->writer->cell(...), iterator_to_array($garage->board(), false));
    }
}
