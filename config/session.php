<?php

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    // Minutes without a request after which one signs in again (OWASP ASVS 4.0.3, V3.3.2).
    'lifetime' => 60 * 12,
    'expire_on_close' => false,
    'encrypt' => false,
    'connection' => null,
    'table' => 'sessions',
    // App\People\DatabaseSessions clears away what has ended.
    'lottery' => [0, 100],
    'cookie' => 'harmozon_session',
    'path' => '/',
    'domain' => null,
    // Null: whenever the page came over TLS.
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
