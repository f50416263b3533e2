<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** A link that limits the power (kW) at any voltage, always or until some minutes after plugging in. */
final readonly class KwLimit
{
    public function __construct(public BindingCode $code, public string $linkId, public float $kw, public float $untilMinute = INF)
    {
    }
}
