<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\NetworkSetUp;

/** A driver's plan for a visit: membership, time parked, next stop, networks set up, trailer. */
final readonly class VisitPlan
{
    /**
     * @param  bool  $member  whether the session is paid for as a member
     * @param  float  $idleMinutes  how long the car stays plugged in after the end
     * @param  float|null  $nextStopKw  what the next stop on the way would give
     * @param  list<NetworkSetUp>  $networks  what the driver has looked at or set up before the visit
     * @param  bool  $towing  whether a trailer is behind the car
     */
    public function __construct(
        public bool $member = false,
        public float $idleMinutes = 0.0,
        public ?float $nextStopKw = null,
        public array $networks = [],
        public bool $towing = false,
    ) {
    }

    public function network(?string $name): ?NetworkSetUp
    {
        foreach ($this->networks as $network) {
            if ($name !== null && $network->isCalled($name)) {
                return $network;
            }
        }

        return null;
    }

    /** @param  list<NetworkSetUp>  $networks */
    public function setUp(array $networks): self
    {
        return new self($this->member, $this->idleMinutes, $this->nextStopKw, $networks, $this->towing);
    }
}
