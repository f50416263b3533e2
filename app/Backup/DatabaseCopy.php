<?php

declare(strict_types=1);

namespace App\Backup;

/** Copies of the database while people write to it. Every kind of database has its own. */
interface DatabaseCopy
{
    /** A consistent copy: everything acknowledged before, and nothing half-written. */
    public function writeTo(string $file): void;

    /** Puts a copy in place of what is there, also under a server that runs. */
    public function takeFrom(string $file): void;

    /** Whether a copy can be read through and is whole. */
    public function isWhole(string $file): bool;
}
