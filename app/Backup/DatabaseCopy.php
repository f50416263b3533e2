<?php

declare(strict_types=1);

namespace App\Backup;

/** Copies the database while people write to it. Each kind of database has its own implementation. */
interface DatabaseCopy
{
    /** Writes a consistent copy: everything acknowledged so far, and nothing half-written. */
    public function writeTo(string $file): void;

    /** Restores a copy in place of the current database, even under a running server. */
    public function takeFrom(string $file): void;

    /** Whether a copy can be read completely and is intact. */
    public function isWhole(string $file): bool;
}
