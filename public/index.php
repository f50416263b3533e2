<?php

use Illuminate\Foundation\Application;
use Illuminate\Http\Request;

define('LARAVEL_START', microtime(true));

try {
    require __DIR__.'/../vendor/autoload.php';

    /** @var Application $app */
    $app = require_once __DIR__.'/../bootstrap/app.php';

    $app->handleRequest(Request::capture());
} catch (Throwable $e) {
    // Nothing works that could tell it better: a folder is missing, or packages are.
    error_log($e->getMessage());
    if (headers_sent() || ob_get_length() > 0) {
        return;
    }
    http_response_code(503);
    header('Content-Type: text/plain; charset=utf-8');
    header('Cache-Control: no-store');
    echo "Harmozon cannot start: whoever runs this must run ./harmozon start, and look at the folders storage and bootstrap/cache.\n";
}
