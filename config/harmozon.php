<?php

return [
    // In demo mode the sign-in page offers to open the demo garage without a password.
    'demo' => (bool) env('HARMOZON_DEMO', false),
    // Whether anybody may make an account; else only the first person, and those with an invitation.
    'open' => (bool) env('HARMOZON_OPEN', false),
    // Whether somebody without an account may check a car: it computes, and keeps nothing.
    'visitors' => (bool) env('HARMOZON_VISITORS', true),
    'demo_domain' => '@lanternfish.example',
    'demo_email' => 'marionette@lanternfish.example',
    'demo_password' => 'dovetail-and-shim',
    // A file larger than this is refused before it is read (KiB).
    'largest_file_kib' => 20_480,
    // Readings one session may hold.
    'most_readings' => 2_000_000,
    // A readings file that is taken in the background may be so large (bytes); one that has no more bytes and lines than these is taken while one waits.
    'largest_import' => 209_715_200,
    'import_at_once' => 1_048_576,
    'import_lines_at_once' => 12_000,
    // From so much memory on a worker makes room for a fresh one (MB).
    'worker_memory_mb' => 256,
    // The document of a garage may be so large (bytes).
    'largest_garage' => 2_000_000_000,
    // Days for which a readings file is kept after it was last touched.
    'import_days' => 7,
    // Names under which this may be asked for besides that of APP_URL. Comma-separated in .env.
    'hosts' => array_values(array_filter(explode(',', (string) env('HARMOZON_HOSTS', '')))),
    // Whoever has this may read /metrics. Empty: there is no such page.
    'metrics_token' => (string) env('HARMOZON_METRICS_TOKEN', ''),
    // Addresses of proxies whose word on host, scheme and address is taken.
    'proxies' => array_values(array_filter(explode(',', (string) env('HARMOZON_PROXIES', '')))),
];
