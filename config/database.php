<?php

$postgres = [
    'driver' => 'pgsql',
    // A folder here is the one of a server's socket.
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '5432'),
    'database' => env('DB_DATABASE', 'harmozon'),
    'username' => env('DB_USERNAME', 'harmozon'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8',
    'prefix' => '',
    'search_path' => 'public',
    'sslmode' => env('DB_SSLMODE', 'prefer'),
    // How long a write waits for another of the same garage (ms); then it is asked to come again.
    'lock_timeout' => 5000,
    // Whether servers keep their connections; false behind something that lends them out.
    'kept' => (bool) env('DB_KEEP_CONNECTIONS', true),
];

return [
    'default' => env('DB_CONNECTION', 'sqlite'),
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', database_path('harmozon.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // Readers never wait for a writer; a reading that was acknowledged is on disk.
            'journal_mode' => 'WAL',
            'synchronous' => 'FULL',
            'busy_timeout' => 5000,
            'transaction_mode' => 'IMMEDIATE',
        ],
        'pgsql' => ['one_writer_a_garage' => true] + $postgres,
        // Counts of calls and failures, apart from what a call writes. Several servers count together.
        'counters' => env('DB_CONNECTION') === 'pgsql' ? $postgres : [
            'driver' => 'sqlite',
            'database' => storage_path('framework/counters.sqlite'),
            'prefix' => '',
            'foreign_key_constraints' => false,
            'journal_mode' => 'WAL',
            'synchronous' => 'NORMAL',
            'busy_timeout' => 2000,
            'transaction_mode' => 'IMMEDIATE',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
