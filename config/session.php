<?php

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'lifetime' => 60 * 24 * 14,
    'expire_on_close' => false,
    'encrypt' => false,
    'connection' => null,
    'table' => 'sessions',
    'lottery' => [2, 100],
    'cookie' => 'harmozon_session',
    'path' => '/',
    'domain' => null,
    'secure' => (bool) env('SESSION_SECURE_COOKIE', false),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
