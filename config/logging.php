<?php

use App\Health\LogLine;

return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        // Where the log cannot be written, the answer is given all the same.
        'daily' => ['driver' => 'stack', 'channels' => ['files'], 'ignore_exceptions' => true],
        'files' => ['driver' => 'daily', 'path' => storage_path('logs/laravel.log'), 'level' => 'debug', 'days' => env('LOG_DAILY_DAYS', 14), 'permission' => 0600, 'formatter' => LogLine::class],
    ],
];
