<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\PostgresConnection;

/**
 * Those who write in one garage do it one after the other, as with SQLite: a transaction that first reads and then writes
 * would otherwise miss what somebody else writes in between. It takes the garage's lock when it begins, and waits for it
 * there. Garages do not wait for each other.
 */
final class OrderedPostgresConnection extends PostgresConnection
{
    use KnowsWhatWasWritten;

    /**
     * @param  array<string, mixed>  $config
     * @param  \Closure(): (int|null)  $garage  in which is written now; null where in none
     */
    public function __construct(\PDO|\Closure $pdo, string $database, string $prefix, array $config, private readonly \Closure $garage)
    {
        parent::__construct($pdo, $database, $prefix, $config);
    }

    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        try {
            $garage = $this->getConfig('one_writer_a_garage') === true ? ($this->garage)() : null;
            if ($garage !== null) {
                $this->getPdo()->prepare('select pg_advisory_xact_lock(?, ?)')->execute([PostgresDialect::GARAGES, $garage]);
            }
        } catch (\PDOException $e) {
            $this->getPdo()->rollBack();
            throw $e;
        }
    }
}
