<?php

// Argon2id at the least that the OWASP Password Storage Cheat Sheet names: 19 MiB, two passes. bcrypt would stop at 72 bytes.
return [
    'driver' => 'argon2id',
    'argon' => ['memory' => (int) env('HASH_MEMORY_KIB', 19_456), 'threads' => 1, 'time' => 2, 'verify' => false],
    'rehash_on_login' => true,
];
