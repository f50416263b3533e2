<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** Step lengths and conditions for computing a session. */
final readonly class StepPlan
{
    /**
     * @param  float  $stepS  longest step; steps end at its multiples
     * @param  float|null  $levelStepS  longest step while volts and power stay level; null: as the others
     * @param  float  $handshakeS  INF for one that never ends
     * @param  bool  $obeysHeat  false: boosts never end
     */
    public function __construct(
        public float $stepS = Integrator::LONGEST_STEP_S,
        public ?float $levelStepS = null,
        public float $handshakeS = Integrator::HANDSHAKE_S,
        public bool $obeysHeat = true,
    ) {
    }
}
