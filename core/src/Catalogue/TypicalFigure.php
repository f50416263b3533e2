<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** A kind's typical figure, and its range. */
final readonly class TypicalFigure
{
    public function __construct(public float $value, public float $low, public float $high)
    {
    }

    public static function exactly(float $value): self
    {
        return new self($value, $value, $value);
    }

    public function times(self $other): self
    {
        return new self($this->value * $other->value, $this->low * $other->low, $this->high * $other->high);
    }
}
