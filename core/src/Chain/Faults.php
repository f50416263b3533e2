<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** What goes wrong at a stall, or might. */
final readonly class Faults
{
    /**
     * @param  float|null  $deratedKw  the stall gives no more than this, whatever its plate says
     * @param  float|null  $neighbourAtMinute  a neighbour plugs in at the same cabinet so long after us
     * @param  float|null  $neighbourLeavesAtMinute  so long after us, whether it was there before or came later
     */
    public function __construct(
        public bool $coolingFailed = false,
        public ?float $deratedKw = null,
        public ?float $neighbourAtMinute = null,
        public ?float $neighbourLeavesAtMinute = null,
    ) {
    }
}
