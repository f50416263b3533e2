<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** A period without readings that is too long to bridge. */
final readonly class Gap
{
    /** Readings further apart than this leave a gap (s). */
    public const LONGEST_S = 120.0;

    public function __construct(public float $fromS, public float $toS)
    {
    }
}
