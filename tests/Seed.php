<?php

declare(strict_types=1);

namespace Tests;

use Symfony\Component\Process\Process;

/**
 * The databases that tests start from. Each is built once for a state of the code and of the day (the demo's sessions are dated back from today), then
 * copied. This is the only place that knows a database is a file.
 */
enum Seed: string
{
    /** Every table, no row. */
    case Migrated = 'migrated';

    /** Both demo garages with their sessions. */
    case Demo = 'demo';

    /** What a seed is built from. */
    private const SOURCES = ['app', 'bootstrap/app.php', 'config', 'core/catalogue', 'core/src', 'core/words', 'database', 'tests/Seed.php'];

    /** Makes a database at this path; one that is there, even in use, gets the seed's content in place of its own. */
    public function writeTo(string $path): void
    {
        $from = new \SQLite3($this->built(), SQLITE3_OPEN_READONLY);
        $from->busyTimeout(10_000);
        $to = new \SQLite3($path);
        $to->busyTimeout(10_000);
        if (! $from->backup($to)) {
            throw new \RuntimeException("the {$this->value} seed could not be copied to {$path}: {$to->lastErrorMsg()}");
        }
        $from->close();
        $to->close();
    }

    /** A copy that this process alone uses, and removes when it ends. */
    public function ownCopy(): string
    {
        /** @var array<string, string> $copies */
        static $copies = [];

        return $copies[$this->value] ??= $this->copyForThisProcess();
    }

    private function copyForThisProcess(): string
    {
        $path = self::folder().'/'.$this->value.'-of-'.getmypid().'.sqlite';
        $this->writeTo($path);
        register_shutdown_function(static fn (): array => array_map(unlink(...), glob($path.'*') ?: []));

        return $path;
    }

    private function built(): string
    {
        $path = self::folder().'/'.$this->value.'-'.self::fingerprint().'.sqlite';
        $lock = fopen(self::folder().'/lock', 'c') ?: throw new \RuntimeException('no lock file for the seeds');
        flock($lock, LOCK_EX);
        try {
            if (! is_file($path)) {
                array_map(unlink(...), glob(self::folder()."/{$this->value}-????????????????.sqlite*") ?: []);
                $this->build($path.'.new');
                rename($path.'.new', $path);
            }
        } finally {
            fclose($lock);
        }

        return $path;
    }

    private function build(string $path): void
    {
        array_map(unlink(...), glob($path.'*') ?: []);
        touch($path);
        $commands = [['migrate', '--force'], ...($this === self::Demo ? [['harmozon:demo']] : [])];
        foreach ($commands as $command) {
            (new Process([PHP_BINARY, 'artisan', ...$command, '--quiet'], self::root(), [
                'APP_ENV' => 'testing', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'DB_DATABASE' => $path, 'CACHE_STORE' => 'array',
                'HARMOZON_DEMO' => 'true', 'HASH_MEMORY_KIB' => '64', 'LOG_CHANNEL' => 'null',
            ]))->setTimeout(120)->mustRun();
        }
        // Everything in the one file: those who read it at once would wait for each other to look through a write-ahead log.
        $built = new \SQLite3($path);
        $built->exec('PRAGMA journal_mode = DELETE');
        $built->close();
    }

    /** @return string 16 characters that change with the code and with the day */
    private static function fingerprint(): string
    {
        static $found = null;
        if ($found === null) {
            $hash = hash_init('xxh3');
            hash_update($hash, gmdate('Y-m-d'));
            foreach (self::SOURCES as $source) {
                foreach (self::filesOf(self::root().'/'.$source) as $file) {
                    hash_update_file($hash, $file);
                }
            }
            $found = hash_final($hash);
        }

        return $found;
    }

    /** @return list<string> in one order everywhere */
    private static function filesOf(string $path): array
    {
        if (is_file($path)) {
            return [$path];
        }
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($path, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if (! str_contains($file->getFilename(), '.sqlite')) {
                $files[] = $file->getPathname();
            }
        }
        sort($files);

        return $files;
    }

    private static function folder(): string
    {
        $folder = self::root().'/.cache/seeds';
        if (! is_dir($folder)) {
            @mkdir($folder, recursive: true);
        }

        return $folder;
    }

    private static function root(): string
    {
        return dirname(__DIR__);
    }
}
