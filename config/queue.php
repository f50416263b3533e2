<?php

return [
    'default' => 'database',
    'connections' => [
        'database' => [
            'driver' => 'database',
            'table' => 'jobs',
            'queue' => 'default',
            // Longer than the longest file takes: what a worker that died had begun is given back when the next one starts.
            'retry_after' => 86_400,
            'after_commit' => false,
        ],
    ],
    'failed' => ['driver' => 'null'],
];
