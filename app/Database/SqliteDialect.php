<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

final class SqliteDialect extends Dialect
{
    /** SQLite's primary result codes. */
    private const BUSY = [5, 6];

    private const READ_ONLY = [8];

    private const FULL = [10, 13];

    private const BROKEN = [11, 26];

    private const CANNOT_OPEN = [14];

    protected function likeInAnyCase(): string
    {
        return 'like';
    }

    /** That what a row names is there is not looked at meanwhile, row by row: whoever hurries looks once a part. */
    protected function hurry(bool $isHasty): void
    {
        DB::unprepared($isHasty ? 'PRAGMA synchronous = NORMAL; PRAGMA foreign_keys = OFF' : 'PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON');
    }

    public function writesOfOthers(): int
    {
        // It changes with what others commit, not with what this process does.
        return (int) DB::scalar('PRAGMA data_version');
    }

    public function writeWithoutWaiting(\Closure $write): bool
    {
        $database = DB::connection();
        try {
            $database->getPdo()->setAttribute(\PDO::ATTR_TIMEOUT, 0);
            $write();

            return true;
        } catch (\PDOException) {
            return false;
        } finally {
            $database->getPdo()->setAttribute(\PDO::ATTR_TIMEOUT, intdiv((int) $database->getConfig('busy_timeout'), 1000));
        }
    }

    public function trouble(\PDOException $e): ?Trouble
    {
        $code = (int) ($e->errorInfo[1] ?? $e->getCode());

        return match (true) {
            in_array($code, self::BUSY, true) => Trouble::Busy,
            in_array($code, self::READ_ONLY, true) => Trouble::ReadOnly,
            in_array($code, self::FULL, true) => Trouble::Full,
            in_array($code, self::BROKEN, true) => Trouble::Broken,
            in_array($code, self::CANNOT_OPEN, true) => Trouble::Gone,
            str_contains($e->getMessage(), 'no such table'), str_contains($e->getMessage(), 'no such column') => Trouble::NotSetUp,
            default => null,
        };
    }

    public function bytesWritten(string $bytes): string
    {
        return $bytes;
    }

    public function bytesRead(string $written): string
    {
        return $written;
    }

    public function sizeBytes(): int
    {
        return (int) @filesize($this->file());
    }

    public function file(): string
    {
        return DB::connection()->getDatabaseName();
    }

    public function lastNumber(Connection $database, string $table, ?string $column): int
    {
        return (int) $database->table('sqlite_sequence')->where('name', $table)->value('seq');
    }

    public function setLastNumber(Connection $database, string $table, ?string $column, int $last): void
    {
        if ($last > 0) {
            $database->table('sqlite_sequence')->where('name', $table)->delete();
            $database->table('sqlite_sequence')->insert(['name' => $table, 'seq' => $last]);
        }
    }

    public function beginOfOneMoment(Connection $database): void
    {
        $database->beginTransaction();
    }

    public function beginAlone(Connection $database): void
    {
        $database->beginTransaction();
    }

    /** It has one writer at a time. */
    public function peoplesTurn(): void
    {
    }
}
