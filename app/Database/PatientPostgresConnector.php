<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\PostgresConnector;

/** Whoever waits for a lock is told after a while that somebody else writes, as with SQLite. */
final class PatientPostgresConnector extends PostgresConnector
{
    /** @param  array<string, mixed>  $config */
    public function connect(array $config): \PDO
    {
        $connection = parent::connect($config);
        $connection->exec(sprintf("set lock_timeout = '%dms'", (int) ($config['lock_timeout'] ?? 0)));

        return $connection;
    }
}
