<?php

declare(strict_types=1);

// Commands that compute for long go on in a process whose code is compiled: a large readings file is judged in two thirds of the time. A short
// command is quicker without, since compiling takes a third of a second.

const LARGE_FILE_BYTES = 8_000_000;

/** @param  list<string>  $arguments  of the command line, the script first */
function runs_long(array $arguments): bool
{
    return match ($arguments[1] ?? '') {
        'harmozon:bench' => true,
        'harmozon:check' => array_filter(array_slice($arguments, 2), static fn (string $a): bool => is_file($a) && filesize($a) > LARGE_FILE_BYTES) !== [],
        default => false,
    };
}

if (runs_long($argv) && ini_get('opcache.enable_cli') === '0' && extension_loaded('Zend OPcache') && function_exists('pcntl_exec')) {
    pcntl_exec(PHP_BINARY, ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M', ...$argv]);
}
