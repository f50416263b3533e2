<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Equipment\Quantity;

/** The highest power over a span of charge, and the link that limits it there. */
final readonly class Peak
{
    /** @param  array{Quantity, float}|null  $limit  what that link allows; null where it is no single figure */
    public function __construct(public float $kw, public float $soc, public BindingCode $binding, public string $linkId, public ?array $limit = null)
    {
    }
}
