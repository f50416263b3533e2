<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** The highest power over a span of charge, and the link that holds it there. */
final readonly class Peak
{
    public function __construct(public float $kw, public float $soc, public BindingCode $binding, public string $linkId)
    {
    }
}
