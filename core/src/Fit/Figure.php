<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** A number a gate used, with its name and unit. */
final readonly class Figure
{
    public function __construct(public string $name, public float $value, public string $unit)
    {
    }
}
