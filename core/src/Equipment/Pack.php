<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The traction battery: usable energy, and its voltage over state of charge. */
final readonly class Pack
{
    public function __construct(public ?float $usableKwh, public ?Curve $voltageBySoc)
    {
    }
}
