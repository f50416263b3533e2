<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Equipment\Curve;

/** A link that allows so many kW at each state of charge. */
final readonly class CurveLimit
{
    public function __construct(public BindingCode $code, public string $linkId, public Curve $kw)
    {
    }
}
