<?php

return [
    'default' => 'sqlite',
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
        'counters' => [
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
