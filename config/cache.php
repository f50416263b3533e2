<?php

return [
    // Several servers on one PostgreSQL share what they keep there.
    'default' => env('DB_CONNECTION') === 'pgsql' && env('CACHE_STORE', 'file') === 'file' ? 'counters' : env('CACHE_STORE', 'file'),
    // Where calls and failures are counted: atomically, which files are not.
    'limiter' => env('COUNTERS_STORE', 'counters'),
    'stores' => [
        'file' => ['driver' => 'file', 'path' => storage_path('framework/cache/data'), 'lock_path' => storage_path('framework/cache/data')],
        'counters' => ['driver' => 'counters'],
        'array' => ['driver' => 'array', 'serialize' => false],
    ],
    'prefix' => 'harmozon_',
];
