<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** A pair that a kit reaches, and the power expected there. */
final readonly class Reached
{
    public function __construct(public Pair $pair, public Reach $way)
    {
    }
}
