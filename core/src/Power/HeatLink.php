<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** A link with a duty rating, and the heat load it starts with. */
final readonly class HeatLink
{
    public function __construct(
        public BindingCode $code,
        public string $linkId,
        public Duty $duty,
        public float $theta,
    ) {
    }

    public function allowsA(): float
    {
        return $this->duty->allowsA($this->theta);
    }
}
