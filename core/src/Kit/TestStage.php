<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/** One session of a first test, and how much of the rating it can prove. */
final readonly class TestStage
{
    /**
     * @param  float  $meanA  highest 10-minute mean of the current that is expected (A; per phase for AC)
     * @param  float  $share  of the adapter's continuous amps
     */
    public function __construct(public Vehicle $vehicle, public Outlet $outlet, public float $meanA, public float $share)
    {
    }
}
