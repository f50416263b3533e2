<?php

declare(strict_types=1);

namespace App\Database\Move;

/** A table whose rows are the same on both sides. */
final readonly class Moved
{
    /** @param  string  $checksum  SHA-256 of its rows */
    public function __construct(public string $table, public int $rows, public string $checksum)
    {
    }
}
