<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Power\UnlimitedAdapter;

/** What a gate looks at: a chain, the wanted charge, the driver's policy, and the volts worked out for them. */
final class Situation
{
    private LimitSet|false|null $limits = false;

    public function __construct(
        public readonly Chain $chain,
        public readonly Conditions $conditions,
        public readonly AdapterPolicy $policy,
        public readonly VoltagePlan $voltage,
    ) {
    }

    /** The chain's limits; null when the voltage at the plug is not known. Computed on demand. */
    public function limits(): ?LimitSet
    {
        return $this->limits === false ? $this->limits = Limits::ofChain($this->chain, $this->voltage, $this->conditions) : $this->limits;
    }

    /** The adapter that may have to carry more than its continuous rating; null when there is none. */
    public function holdBack(): ?UnlimitedAdapter
    {
        $limits = $this->chain->adapters === [] ? null : SpreadBound::ofMostAmps($this->chain, $this->voltage, $this->conditions, $this->limits());

        return $limits === null ? null : UnlimitedAdapter::of($this->chain, $limits, $this->conditions->charge->socFrom, $this->voltage->endSoc($this->conditions));
    }
}
