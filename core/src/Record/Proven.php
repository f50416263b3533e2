<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** How much of an adapter's plate a session has shown to hold, as shares. Null is not shown. */
final readonly class Proven
{
    public function __construct(public string $adapterId, public ?float $ofContinuous, public ?float $ofBoost)
    {
    }
}
