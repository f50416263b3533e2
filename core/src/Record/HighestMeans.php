<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** The highest means over ten minutes and over one. Null where nobody read them. */
final readonly class HighestMeans
{
    public function __construct(public ?float $tenMinA, public ?float $tenMinKw, public ?float $oneMinA, public ?float $oneMinKw)
    {
    }
}
