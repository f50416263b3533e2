<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Cache\DatabaseStore;
use Illuminate\Support\Facades\DB;

/**
 * Counters of calls and failures in a database of their own, so that they never wait for writers of the main one.
 * Losing the file loses a few minutes of counts.
 */
final class CounterFile
{
    public const CONNECTION = 'counters';

    public static function store(): DatabaseStore
    {
        $file = (string) config('database.connections.'.self::CONNECTION.'.database');
        if (! is_file($file)) {
            touch($file);
            chmod($file, 0600);
        }
        $connection = DB::connection(self::CONNECTION);
        $connection->statement('create table if not exists counters (key text primary key, value text not null, expiration integer not null)');

        return new DatabaseStore($connection, 'counters');
    }
}
