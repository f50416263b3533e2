<?php

/**
 * Exact versions of everything that Composer installs, the packages of packages too. A lock file would carry addresses; this holds names and versions alone.
 *   php build/pins.php with     the constraints for `composer update`, one a line
 *   php build/pins.php check    whether what is installed is what is pinned; says each that is not, and exits with 1
 *   php build/pins.php write    pins what is installed, after an update that was meant
 */

declare(strict_types=1);

const PINS = __DIR__.'/../composer.pins.json';

/** @return array<string, string> versions by name */
function pinned(): array
{
    return json_decode((string) file_get_contents(PINS), true, flags: JSON_THROW_ON_ERROR);
}

/** @return array<string, string> versions by name, without our own core */
function installed(): array
{
    $found = [];
    foreach (json_decode((string) file_get_contents(__DIR__.'/../vendor/composer/installed.json'), true, flags: JSON_THROW_ON_ERROR)['packages'] as $package) {
        if (! str_starts_with($package['name'], 'harmozon/')) {
            $found[$package['name']] = ltrim($package['version'], 'v');
        }
    }
    ksort($found);

    return $found;
}

switch ($argv[1] ?? '') {
    case 'with':
        foreach (pinned() as $name => $version) {
            echo "--with={$name}:{$version}\n";
        }
        exit(0);
    case 'check':
        [$ours, $there] = [pinned(), installed()];
        foreach (array_unique([...array_keys($ours), ...array_keys($there)]) as $name) {
            if (($ours[$name] ?? '') !== ($there[$name] ?? '')) {
                fwrite(STDERR, sprintf("%s: pinned %s, installed %s\n", $name, $ours[$name] ?? 'not at all', $there[$name] ?? 'not at all'));
                $differs = true;
            }
        }
        exit(isset($differs) ? 1 : 0);
    case 'write':
        file_put_contents(PINS, preg_replace('/^ {4}/m', '  ', (string) json_encode(installed(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES))."\n");
        exit(0);
    default:
        fwrite(STDERR, "php build/pins.php with | check | write\n");
        exit(2);
}
