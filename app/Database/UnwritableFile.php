<?php

declare(strict_types=1);

namespace App\Database;

/** A file or folder of the application's own that cannot be written. */
final class UnwritableFile extends \RuntimeException
{
    /** @param  string  $path  below the application's folder */
    public function __construct(public readonly string $path)
    {
        parent::__construct($path);
    }
}
