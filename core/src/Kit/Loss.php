<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Vehicle;

/** What is left for a car at a place when one part fails. */
final readonly class Loss
{
    /**
     * @param  string  $failed  id of the outlet or the adapter, or the network's name
     * @param  float  $nowKw  the most the car is expected to take at the place now
     * @param  float|null  $leftKw  the same without the part; null when it no longer charges there
     */
    public function __construct(public Vehicle $vehicle, public string $place, public FailingPart $part, public string $failed, public float $nowKw, public ?float $leftKw)
    {
    }

    public function isStranded(): bool
    {
        return $this->leftKw === null;
    }
}
