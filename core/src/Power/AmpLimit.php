<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** A link that limits the current (A; per phase for AC). */
final readonly class AmpLimit
{
    public function __construct(public BindingCode $code, public string $linkId, public float $amps)
    {
    }
}
