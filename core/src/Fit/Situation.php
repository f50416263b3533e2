<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlan;

/** What a gate looks at: a chain, the wanted charge, the driver's policy, and the volts worked out for them. */
final readonly class Situation
{
    public function __construct(
        public Chain $chain,
        public Conditions $conditions,
        public AdapterPolicy $policy,
        public VoltagePlan $voltage,
    ) {
    }
}
