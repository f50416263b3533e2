<?php

declare(strict_types=1);

namespace App\Database;

use App\Garage\CurrentGarage;
use Illuminate\Database\PostgresConnection;

/**
 * Those who write in one garage do it one after the other, as with SQLite: a transaction that first reads and then writes
 * would otherwise miss what somebody else writes in between. It takes the garage's lock when it begins, and waits for it
 * there. Garages do not wait for each other.
 */
final class OrderedPostgresConnection extends PostgresConnection
{
    use KnowsWhatWasWritten;

    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        try {
            $garage = app(CurrentGarage::class)->id();
            if ($garage !== null) {
                $this->getPdo()->exec(sprintf('select pg_advisory_xact_lock(%d, %d)', PostgresDialect::GARAGES, $garage));
            }
        } catch (\PDOException $e) {
            $this->getPdo()->rollBack();
            throw $e;
        }
    }
}
