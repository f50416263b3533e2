<?php

declare(strict_types=1);

// What PHP's own web server asks first: files of the page with their headers, all else the application.

const TYPES = [
    'js' => 'text/javascript; charset=utf-8', 'css' => 'text/css; charset=utf-8', 'json' => 'application/json', 'svg' => 'image/svg+xml',
    'html' => 'text/html; charset=utf-8', 'txt' => 'text/plain; charset=utf-8',
    'woff2' => 'font/woff2', 'png' => 'image/png', 'ico' => 'image/x-icon',
];

$public = (string) realpath(__DIR__.'/public');
$path = rawurldecode((string) parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH));
$file = str_contains($path, "\0") ? false : realpath($public.$path);
$type = $file === false ? null : TYPES[pathinfo($file, PATHINFO_EXTENSION)] ?? null;
if ($type !== null && is_file($file) && str_starts_with($file, $public.'/')) {
    // A hash of what is in it stands in the name of a built file: it never changes.
    header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'public, max-age=3600'));
    header('Content-Type: '.$type);
    header('X-Content-Type-Options: nosniff');
    if (! str_starts_with($type, 'text/') && ! str_contains($type, 'json') && ! str_contains($type, 'xml')) {
        ini_set('zlib.output_compression', '0');
    }
    readfile($file);

    return true;
}

require $public.'/index.php';
