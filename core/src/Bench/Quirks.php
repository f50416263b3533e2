<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

/** What the pieces of a session do that no plate says. */
final readonly class Quirks
{
    /**
     * @param  bool  $ignoresHeat  the car keeps drawing boost amps whatever the adapter's load
     * @param  float  $wear  resistance of the adapter's contacts, as a multiple of new ones
     * @param  float  $settleMinutes  on AC the car takes half its power for so long before it takes all of it
     */
    public function __construct(public bool $ignoresHeat = false, public float $wear = 1.0, public float $settleMinutes = 0.0)
    {
    }
}
