<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;

/** Uses SQLite's online backup: a copy of the file alone would lack its log (-wal). */
final class SqliteCopy implements DatabaseCopy
{
    /** How long to wait for others before it begins (ms). */
    private const PATIENCE_MS = 60_000;

    public function writeTo(string $file): void
    {
        // Where there is no database yet, an empty one is copied.
        $source = self::open(self::live(), is_file(self::live()) ? SQLITE3_OPEN_READONLY : SQLITE3_OPEN_READWRITE | SQLITE3_OPEN_CREATE);
        $copy = self::open($file, SQLITE3_OPEN_READWRITE | SQLITE3_OPEN_CREATE);
        $isDone = $source->backup($copy);
        // Alone it needs no log beside it.
        $copy->exec('PRAGMA journal_mode = DELETE');
        $copy->close();
        $source->close();
        if (! $isDone) {
            throw new \RuntimeException('the database could not be copied');
        }
    }

    public function takeFrom(string $file): void
    {
        $copy = self::open($file, SQLITE3_OPEN_READONLY);
        $target = self::open(self::live(), SQLITE3_OPEN_READWRITE | SQLITE3_OPEN_CREATE);
        $isDone = $copy->backup($target);
        $target->close();
        $copy->close();
        DB::purge();
        if (! $isDone) {
            throw new \RuntimeException('the database could not be put in place');
        }
    }

    public function isWhole(string $file): bool
    {
        return self::isIntact($file);
    }

    public static function isIntact(string $file): bool
    {
        try {
            $copy = self::open($file, SQLITE3_OPEN_READONLY);

            return $copy->querySingle('PRAGMA integrity_check') === 'ok';
        } catch (\Exception) {
            return false;
        }
    }

    private static function live(): string
    {
        return DB::connection()->getDatabaseName();
    }

    private static function open(string $file, int $flags): \SQLite3
    {
        $database = new \SQLite3($file, $flags);
        $database->enableExceptions(true);
        $database->busyTimeout(self::PATIENCE_MS);

        return $database;
    }
}
