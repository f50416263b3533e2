<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** A voltage class of batteries. */
final readonly class PackClass
{
    /** @param  string  $seen  in what cars it is usual */
    public function __construct(public string $id, public string $name, public string $seen, public TypicalCurve $volts)
    {
    }
}
