<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\PostgresConnector;

/**
 * Whoever waits for a lock is told after a while that somebody else writes, as with SQLite. A process that serves keeps its
 * connections from one request to the next: PostgreSQL starts a process of its own for each new one, which first has to read
 * what the tables are.
 */
final class PatientPostgresConnector extends PostgresConnector
{
    /** What PHP calls itself where it answers one request after the other. */
    private const SERVING = ['fpm-fcgi', 'cli-server'];

    /**
     * @param  array<array-key, mixed>  $config
     * @return array<array-key, mixed>
     */
    public function getOptions(array $config): array
    {
        $isKept = ($config['kept'] ?? false) === true && in_array(PHP_SAPI, self::SERVING, true);

        // By its name: counts are written beside a transaction, not inside of it.
        return parent::getOptions($config) + ($isKept ? [\PDO::ATTR_PERSISTENT => 'harmozon-'.(is_string($config['name'] ?? null) ? $config['name'] : '')] : []);
    }

    /** @param  array<array-key, mixed>  $config */
    public function connect(array $config): \PDO
    {
        $connection = parent::connect($config);
        // A request that broke off may have left a connection that is kept in a hurry (PostgresDialect).
        $connection->exec('reset synchronous_commit');
        // A number without a unit is in milliseconds.
        $connection->prepare("select set_config('lock_timeout', ?, false)")->execute([(string) ($config['lock_timeout'] ?? 0)]);

        return $connection;
    }
}
