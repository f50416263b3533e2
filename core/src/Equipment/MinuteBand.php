<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The price of a minute while the power is at least this high. */
final readonly class MinuteBand
{
    public function __construct(public float $fromKw, public string $perMinute)
    {
    }
}
