<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;

/** An adapter to take on a tour. */
final readonly class PackedPiece
{
    /** @param  list<string>  $places  ids of those where a best answer uses it, in the order of the stops */
    public function __construct(public Adapter $adapter, public array $places)
    {
    }

    /** Whether its own battery has to be charged before leaving, or nobody knows whether it is. */
    public function isToCharge(): bool
    {
        return $this->adapter->isActive() && $this->adapter->handling->batteryOk !== true;
    }
}
