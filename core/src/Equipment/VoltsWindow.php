<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Supply volts per phase that an onboard charger takes. */
final readonly class VoltsWindow
{
    public function __construct(public float $lowestV, public float $highestV)
    {
    }
}
