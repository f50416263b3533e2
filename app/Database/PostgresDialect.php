<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

final class PostgresDialect extends Dialect
{
    /** The first number of advisory locks: those of a garage, whose second is its row number, and the one of people. */
    public const GARAGES = 1;

    private const PEOPLE = 2;

    /** SQLSTATE, or the class that begins one (PostgreSQL, appendix A). */
    private const BUSY = ['55P03', '40001', '40P01', '57014'];

    private const READ_ONLY = ['25006', '42501'];

    private const FULL = ['53100', '53200'];

    private const BROKEN = ['XX001', 'XX002', 'XX000'];

    private const GONE = ['08', '57P01', '57P02', '57P03', '53300', '28', '3D000'];

    private const NOT_SET_UP = ['42P01', '42703'];

    /** What the driver says of a server that it cannot reach: it gives no SQLSTATE then. */
    private const UNREACHED = 7;

    /** The shortest wait for a lock that can be set (ms); 0 would be for ever. */
    private const AT_ONCE_MS = 1;

    protected function likeInAnyCase(): string
    {
        return 'ilike';
    }

    protected function hurry(bool $isHasty): void
    {
        DB::unprepared($isHasty ? 'set synchronous_commit = off' : 'reset synchronous_commit');
    }

    public function writesOfOthers(): ?int
    {
        return null;
    }

    public function writeWithoutWaiting(\Closure $write): bool
    {
        try {
            self::waitFor(self::AT_ONCE_MS);
            $write();

            return true;
        } catch (\PDOException $e) {
            if ($this->trouble($e) === null) {
                throw $e;
            }

            return false;
        } finally {
            self::waitFor((int) DB::connection()->getConfig('lock_timeout'));
        }
    }

    private static function waitFor(int $milliseconds): void
    {
        DB::select("select set_config('lock_timeout', ?, false)", [(string) $milliseconds]);
    }

    public function trouble(\PDOException $e): ?Trouble
    {
        $state = (string) ($e->errorInfo[0] ?? '');
        $is = static fn (array $states): bool => array_filter($states, static fn (string $s): bool => str_starts_with($state, $s)) !== [];

        return match (true) {
            $is(self::BUSY) => Trouble::Busy,
            $is(self::READ_ONLY) => Trouble::ReadOnly,
            $is(self::FULL) => Trouble::Full,
            $is(self::BROKEN) => Trouble::Broken,
            $is(self::GONE), ($e->errorInfo[1] ?? $e->getCode()) === self::UNREACHED && ($state === '' || $state === 'HY000') => Trouble::Gone,
            $is(self::NOT_SET_UP) => Trouble::NotSetUp,
            default => null,
        };
    }

    /** A statement's values are text to it. */
    public function bytesWritten(string $bytes): string
    {
        return '\x'.bin2hex($bytes);
    }

    public function bytesRead(string $written): string
    {
        return (string) hex2bin(substr($written, 2));
    }

    public function sizeBytes(): int
    {
        return (int) DB::scalar('select pg_database_size(current_database())');
    }

    public function file(): ?string
    {
        return null;
    }

    public function lastNumber(Connection $database, string $table, ?string $column): int
    {
        $sequence = $this->sequence($database, $table, $column);

        return $sequence === null ? 0 : (int) $database->scalar('select pg_sequence_last_value(?::regclass)', [$sequence]);
    }

    public function setLastNumber(Connection $database, string $table, ?string $column, int $last): void
    {
        $sequence = $this->sequence($database, $table, $column);
        if ($sequence !== null && $last > 0) {
            $database->select('select setval(?::regclass, ?)', [$sequence, $last]);
        }
    }

    private function sequence(Connection $database, string $table, ?string $column): ?string
    {
        return $column === null ? null : $database->scalar('select pg_get_serial_sequence(?, ?)', [$table, $column]);
    }

    public function beginOfOneMoment(Connection $database): void
    {
        // Inside of another it can no longer be said.
        $isOutermost = $database->transactionLevel() === 0;
        $database->beginTransaction();
        if ($isOutermost) {
            $database->statement('set transaction isolation level repeatable read');
        }
    }

    public function beginAlone(Connection $database): void
    {
        $database->beginTransaction();
        foreach ($database->getSchemaBuilder()->getTables('public') as $table) {
            $database->statement(implode(' ', ['lock table', $database->getQueryGrammar()->wrapTable((string) $table['name']), 'in share row exclusive mode']));
        }
    }

    public function peoplesTurn(): void
    {
        DB::select('select pg_advisory_xact_lock(?, 0)', [self::PEOPLE]);
    }
}
