<?php

return [
    // In demo mode the sign-in page offers to open the demo garage without a password.
    'demo' => (bool) env('HARMOZON_DEMO', false),
    // Whether anybody may make an account; else only the first one, and whoever was invited.
    'open' => (bool) env('HARMOZON_OPEN', false),
    'demo_domain' => '@lanternfish.example',
    'demo_email' => 'marionette@lanternfish.example',
    'demo_password' => 'dovetail-and-shim',
    // A file larger than this is refused before it is read (KiB).
    'largest_file_kib' => 20_480,
    // Readings one session may hold: a day at 1 Hz.
    'most_readings' => 86_400,
    // Names under which this may be asked for; any, where there are none. Comma-separated in .env.
    'hosts' => array_values(array_filter(explode(',', (string) env('HARMOZON_HOSTS', '')))),
    // Addresses of proxies whose word on host, scheme and address is taken.
    'proxies' => array_values(array_filter(explode(',', (string) env('HARMOZON_PROXIES', '')))),
];
