<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/** What SQLite and PostgreSQL say differently. Nothing outside this room knows which of them it speaks to. */
abstract class Dialect
{
    public static function ofConnection(): self
    {
        return self::named(DB::getDefaultConnection());
    }

    /** Of a connection by its name: it need not be open. */
    public static function named(string $connection): self
    {
        return config("database.connections.{$connection}.driver") === 'pgsql' ? new PostgresDialect : new SqliteDialect;
    }

    /** A condition that a column contains a text, whatever the case of its Latin letters; its one placeholder takes {@see contained}. */
    public function contains(string $column): string
    {
        return implode(' ', ['cast(', $column, 'as text)', $this->likeInAnyCase(), "? escape '!'"]);
    }

    public static function contained(string $text): string
    {
        return '%'.str_replace(['!', '%', '_'], ['!!', '!%', '!_'], $text).'%';
    }

    /** The word for a LIKE that takes "a" and "A" for the same. */
    abstract protected function likeInAnyCase(): string;

    /**
     * Writes without waiting for the disk each time: where the power goes, the last writes go with it, in their order. What
     * is written afterwards is on the disk, and all before it.
     *
     * @template T
     *
     * @param  \Closure(): T  $write
     * @return T
     */
    public function hurriedly(\Closure $write): mixed
    {
        // Inside of a transaction it cannot be changed, and need not.
        if (DB::connection()->transactionLevel() > 0) {
            return $write();
        }
        try {
            $this->hurry(true);

            return $write();
        } finally {
            $this->hurry(false);
        }
    }

    abstract protected function hurry(bool $isHasty): void;

    /** A number that changes when others have written; null where others never wait for this process. */
    abstract public function writesOfOthers(): ?int;

    /**
     * @param  \Closure(): mixed  $write
     * @return bool false where somebody else holds what it needs
     */
    abstract public function writeWithoutWaiting(\Closure $write): bool;

    /** What an error of the database means for the site; null where it is no trouble of the site. */
    abstract public function trouble(\PDOException $e): ?Trouble;

    /** Bytes as a statement takes them. */
    abstract public function bytesWritten(string $bytes): string;

    /** What {@see bytesWritten} was given. */
    abstract public function bytesRead(string $written): string;

    /** What the database takes of its disk (bytes). */
    abstract public function sizeBytes(): int;

    /** The file that the database is; null where a server of its own has it. */
    abstract public function file(): ?string;

    /** The number that a table gave last; 0 where it gives none, or gave none yet. */
    abstract public function lastNumber(Connection $database, string $table, ?string $column): int;

    /** So that no number is given twice. */
    abstract public function setLastNumber(Connection $database, string $table, ?string $column, int $last): void;

    /** Until the transaction ends everything that is read is of this moment, while others go on writing. */
    abstract public function beginOfOneMoment(Connection $database): void;

    /** Until the transaction ends nobody else writes. */
    abstract public function beginAlone(Connection $database): void;

    /** Until the transaction ends nobody else changes who belongs to which garage. */
    abstract public function peoplesTurn(): void;
}
