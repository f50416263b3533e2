<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** The range of a figure that depends on facts nobody has read. */
final readonly class UncertaintyBand
{
    private function __construct(public float $low, public float $high)
    {
    }

    public static function around(float ...$values): self
    {
        return new self(min([INF, ...array_values($values)]), max([-INF, ...array_values($values)]));
    }

    public function width(): float
    {
        return $this->high - $this->low;
    }
}
