<?php

declare(strict_types=1);

namespace Tests;

/** Seeds as files of SQLite's. */
final class SqliteSeeds
{
    public function copy(Seed $seed, string $path): void
    {
        $from = new \SQLite3($this->built($seed), SQLITE3_OPEN_READONLY);
        $from->busyTimeout(10_000);
        $to = new \SQLite3($path);
        $to->busyTimeout(10_000);
        if (! $from->backup($to)) {
            throw new \RuntimeException("the {$seed->value} seed could not be copied to {$path}: {$to->lastErrorMsg()}");
        }
        $from->close();
        $to->close();
    }

    public function ownCopy(Seed $seed): string
    {
        $path = Seed::folder().'/'.$seed->value.'-of-'.getmypid().'.sqlite';
        $this->copy($seed, $path);
        register_shutdown_function(static fn (): array => array_map(unlink(...), glob($path.'*') ?: []));

        return $path;
    }

    private function built(Seed $seed): string
    {
        $path = Seed::folder().'/'.$seed->value.'-'.Seed::fingerprint().'.sqlite';
        Seed::alone(function () use ($seed, $path): void {
            if (! is_file($path)) {
                array_map(unlink(...), glob(Seed::folder()."/{$seed->value}-????????????????.sqlite*") ?: []);
                $this->build($seed, $path.'.new');
                rename($path.'.new', $path);
            }
        });

        return $path;
    }

    private function build(Seed $seed, string $path): void
    {
        array_map(unlink(...), glob($path.'*') ?: []);
        touch($path);
        $seed->build('sqlite', $path);
        // Everything in the one file: those who read it at once would wait for each other to look through a write-ahead log.
        $built = new \SQLite3($path);
        $built->exec('PRAGMA journal_mode = DELETE');
        $built->close();
    }
}
