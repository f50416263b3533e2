<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Trust;

/** The sessions that proved the most of an adapter's rating; null where none proved anything. */
final readonly class ProvenBy
{
    public function __construct(public ?Used $continuous, public ?Used $boost)
    {
    }
}
