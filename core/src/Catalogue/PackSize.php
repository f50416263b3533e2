<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** A size class of batteries, by energy. */
final readonly class PackSize
{
    /** @param  float|null  $belowKwh  usable; null for the largest */
    public function __construct(public string $id, public ?float $belowKwh, public TypicalFigure $usableKwh)
    {
    }
}
