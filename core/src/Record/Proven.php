<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** The share of an adapter's rating that a session has proven. Null: not proven. */
final readonly class Proven
{
    public function __construct(public string $adapterId, public ?float $ofContinuous, public ?float $ofBoost)
    {
    }
}
