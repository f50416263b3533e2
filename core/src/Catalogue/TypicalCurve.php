<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\Curve;

/** A kind's typical curve over state of charge, and its range. */
final readonly class TypicalCurve
{
    public function __construct(public Curve $value, public Curve $low, public Curve $high)
    {
    }

    public function times(TypicalFigure $figure): self
    {
        return new self($this->value->times($figure->value), $this->low->times($figure->low), $this->high->times($figure->high));
    }
}
