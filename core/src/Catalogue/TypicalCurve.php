<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\Curve;

/** What is usual for a kind over state of charge, and between what it lies. */
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
