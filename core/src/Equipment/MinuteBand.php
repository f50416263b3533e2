<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The price of a minute while at least so many kW flow. */
final readonly class MinuteBand
{
    public function __construct(public float $fromKw, public string $perMinute)
    {
    }
}
