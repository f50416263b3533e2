<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Cache\DatabaseStore;
use Illuminate\Database\Connection;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/**
 * Counters of calls and failures, over a connection of their own, so that they never wait for writers of the main one: a
 * file beside SQLite, a table in PostgreSQL. Losing them loses a few minutes of counts.
 */
final class Counters
{
    public const CONNECTION = 'counters';

    private const IN_FILE = 'create table if not exists counters (key text primary key, value text not null, expiration integer not null)';

    /** Not written to the server's log: after a crash it is empty. */
    private const IN_SERVER = 'create unlogged table if not exists counters (key text primary key, value text not null, expiration integer not null)';

    public static function store(): DatabaseStore
    {
        $connection = DB::connection(self::CONNECTION);
        $connection->getDriverName() === 'pgsql' ? self::inServer($connection) : self::inFile($connection);

        return new DatabaseStore($connection, 'counters');
    }

    private static function inFile(Connection $connection): void
    {
        $file = $connection->getDatabaseName();
        if (! is_file($file)) {
            touch($file);
            chmod($file, 0600);
        }
        $connection->statement(self::IN_FILE);
    }

    private static function inServer(Connection $connection): void
    {
        try {
            $connection->statement(self::IN_SERVER);
        } catch (UniqueConstraintViolationException) {
            // Another server made it in the same moment.
        }
    }
}
