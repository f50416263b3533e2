<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Trust;

/** Whether an adapter gets warmer from session to session. */
final readonly class RiseTrend
{
    /**
     * @param  list<float>  $indices  K per (100 A)², of those sessions where a rise was read
     * @param  float|null  $projectedRiseK  at full continuous amps, some sessions ahead
     */
    public function __construct(public array $indices, public ?Slope $slope, public Warming $warming, public ?float $projectedRiseK)
    {
    }
}
