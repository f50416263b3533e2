<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Trust;

/** How much of an adapter's rating one session proved. */
final readonly class ProvenShare
{
    /**
     * @param  float|null  $ofContinuous  highest 10-minute mean as a share of the continuous amps
     * @param  float|null  $ofBoost  peak as a share of the boost amps
     */
    public function __construct(public ?float $ofContinuous, public ?float $ofBoost)
    {
    }
}
