<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\PostgresConnector;

/** Whoever waits for a lock is told after a while that somebody else writes, as with SQLite. */
final class PatientPostgresConnector extends PostgresConnector
{
    /** @param  array<array-key, mixed>  $config */
    public function connect(array $config): \PDO
    {
        $connection = parent::connect($config);
        // A number without a unit is in milliseconds.
        $connection->prepare("select set_config('lock_timeout', ?, false)")->execute([(string) ($config['lock_timeout'] ?? 0)]);

        return $connection;
    }
}
