<?php

use Harmozon\Core\Words\Languages;

return [
    'name' => 'Harmozon',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8080'),
    'timezone' => 'UTC',
    // Of the command line; whoever asks over HTTP is answered in their own.
    'locale' => Languages::best([(string) env('HARMOZON_LANGUAGE', 'en')]),
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
];
