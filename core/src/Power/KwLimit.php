<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** A link that allows so many kW, whatever the volts. */
final readonly class KwLimit
{
    public function __construct(public BindingCode $code, public string $linkId, public float $kw)
    {
    }
}
