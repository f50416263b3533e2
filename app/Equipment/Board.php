<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use App\Models\Vehicle;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter as CoreAdapter;
use Harmozon\Core\Files\FitWriter;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Board as CoreBoard;
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
        $board = new CoreBoard(
            new Fitter($kit, $conditions, $policy),
            Vehicle::inOrder()->map($this->crate->vehicle(...)),
            Outlet::inOrder()->map($this->crate->outlet(...)),
        );

        return array_map($this->writer->cell(...), iterator_to_array($board->answers(), false));
    }
}
