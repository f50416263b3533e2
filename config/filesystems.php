<?php

return [
    // s3 where several servers serve one site: photographs, arriving files and backups are on it.
    'default' => env('HARMOZON_DISK', 'local'),
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
        's3' => [
            'driver' => 's3',
            'key' => env('AWS_ACCESS_KEY_ID'),
            'secret' => env('AWS_SECRET_ACCESS_KEY'),
            'region' => env('AWS_DEFAULT_REGION', 'us-east-1'),
            'bucket' => env('AWS_BUCKET'),
            // Of a server that speaks S3 and is not the cloud's own.
            'endpoint' => env('AWS_ENDPOINT'),
            'use_path_style_endpoint' => env('AWS_ENDPOINT') !== null,
            'throw' => true,
        ],
    ],
];
