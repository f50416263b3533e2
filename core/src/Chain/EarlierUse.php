<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** Heat and wear left in cables and adapters by earlier use. */
final readonly class EarlierUse
{
    /**
     * @param  array<string, float>  $theta  heat load by link id (an adapter's id, or `cable`) when earlier use ended, 1 being the allowed rise
     * @param  float  $restedMinutes  since then: the loads have decayed for so long
     * @param  float  $ratingLeft  share of the continuous amps that uncooled cables and adapters have kept (`ageing` in files)
     */
    public function __construct(
        public array $theta = [],
        public float $restedMinutes = 0.0,
        public float $ratingLeft = 1.0,
    ) {
    }

    public function thetaOf(string $linkId): float
    {
        return $this->theta[$linkId] ?? 0.0;
    }
}
