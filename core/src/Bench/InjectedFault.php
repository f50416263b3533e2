<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

/** A fault, and the minute after plugging in at which it happens; null: when it usually does. */
final readonly class InjectedFault
{
    public function __construct(public Fault $fault, public ?float $minute = null)
    {
    }
}
