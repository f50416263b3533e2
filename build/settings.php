<?php

/**
 * Brings the settings of an earlier version up to date:  php build/settings.php .env .env.example
 * Adds what this version has and they lack, with its reason, and replaces what no longer works. What stood there before stays as a comment. Every change is
 * one line of output; without any, the file is not touched.
 */

declare(strict_types=1);

/** What earlier versions shipped and this one cannot go on with: key, their value, ours, why. */
const OUTDATED = [
    ['SESSION_DRIVER', 'file', 'database', 'sign-ins are kept in the database, so that a browser can be signed out from another one'],
    ['LOG_CHANNEL', 'single', 'daily', 'one log file a day, so that old ones can go'],
];

/** @return array<string, int> the line of each key that is set; where one stands twice, the last one counts */
function lines_by_key(array $lines): array
{
    $found = [];
    foreach ($lines as $i => $line) {
        if (preg_match('/^\s*(?:export\s+)?([A-Z][A-Z0-9_]*)\s*=/', $line, $m) === 1) {
            $found[$m[1]] = $i;
        }
    }

    return $found;
}

function value_of(string $line): string
{
    return trim(explode('=', $line, 2)[1] ?? '', " \t\r\"'");
}

[, $path, $example] = $argv + [1 => '.env', 2 => '.env.example'];
$lines = explode("\n", rtrim((string) file_get_contents($path), "\n"));
$shipped = explode("\n", rtrim((string) file_get_contents($example), "\n"));
$said = [];

foreach (OUTDATED as [$key, $old, $new, $why]) {
    $at = lines_by_key($lines)[$key] ?? null;
    if ($at !== null && value_of($lines[$at]) === $old) {
        array_splice($lines, $at, 1, ["# {$key} was {$old}: {$why}", "{$key}={$new}"]);
        $said[] = "{$key} is {$new} now, was {$old}: {$why}.";
    }
}

$reason = [];
foreach ($shipped as $line) {
    if (str_starts_with($line, '#')) {
        $reason[] = $line;

        continue;
    }
    $key = explode('=', $line, 2)[0];
    if ($key !== '' && ! isset(lines_by_key($lines)[$key])) {
        array_push($lines, ...$reason, ...[$line]);
        $said[] = "{$line} was added, as this version ships it.";
    }
    $reason = [];
}

if ($said === []) {
    exit(0);
}
umask(0077);
if (file_put_contents("{$path}.new", implode("\n", $lines)."\n") === false || ! rename("{$path}.new", $path)) {
    fwrite(STDERR, "{$path} could not be written; nothing in it was changed\n");
    exit(1);
}
echo "Your settings come from an earlier version. In {$path}:\n  ".implode("\n  ", $said)."\n";
