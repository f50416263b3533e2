<?php

declare(strict_types=1);

namespace App\Moving;

use App\Garage\CurrentGarage;
use App\Models\GarageArrival;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** Imports a garage's document in the background. */
final class BringGarageJob implements ShouldQueue
{
    use Dispatchable;

    /** No time limit: a large garage takes as long as it takes. */
    public int $timeout = 0;

    public function __construct(public readonly int $garageId, public readonly int $arrivalId)
    {
    }

    public function handle(CurrentGarage $garage, GarageArrivals $arrivals): void
    {
        $garage->open($this->garageId, function () use ($arrivals): void {
            $arrival = GarageArrival::query()->find($this->arrivalId);
            if ($arrival instanceof GarageArrival) {
                $arrivals->run($arrival);
            }
        });
    }
}
