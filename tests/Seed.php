<?php

declare(strict_types=1);

namespace Tests;

use Symfony\Component\Process\Process;

/**
 * The databases that tests start from. Each is built once for a state of the code and of the day (the demo's sessions are dated back from today), then
 * copied.
 */
enum Seed: string
{
    /** Every table, no row. */
    case Migrated = 'migrated';

    /** Both demo garages with their sessions. */
    case Demo = 'demo';

    /** What a seed is built from. */
    private const SOURCES = ['app', 'bootstrap/app.php', 'config', 'core/catalogue', 'core/src', 'core/words', 'database', 'tests/Seed.php'];

    /** Makes a file of SQLite's at this path; one that is there, even in use, gets the seed's content in place of its own. */
    public function writeTo(string $path): void
    {
        (new SqliteSeeds)->copy($this, $path);
    }

    /** @return string the name of a copy that this process alone uses, and removes when it ends */
    public function ownCopy(): string
    {
        /** @var array<string, string> $copies */
        static $copies = [];

        return $copies[$this->value] ??= (getenv('DB_CONNECTION') === 'pgsql' ? new PostgresSeeds : new SqliteSeeds)->ownCopy($this);
    }

    /** Fills an empty database of either kind (`sqlite` or `pgsql`). */
    public function build(string $connection, string $database): void
    {
        $commands = [['migrate', '--force'], ...($this === self::Demo ? [['harmozon:demo']] : [])];
        foreach ($commands as $command) {
            (new Process([PHP_BINARY, 'artisan', ...$command, '--quiet'], self::root(), [
                'APP_ENV' => 'testing', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'DB_CONNECTION' => $connection, 'DB_DATABASE' => $database, 'CACHE_STORE' => 'array',
                'COUNTERS_STORE' => 'array', 'HARMOZON_DEMO' => 'true', 'HASH_MEMORY_KIB' => '64', 'LOG_CHANNEL' => 'null',
            ]))->setTimeout(120)->mustRun();
        }
    }

    /**
     * What one process builds and the others wait for.
     *
     * @param  \Closure(): void  $build
     */
    public static function alone(\Closure $build): void
    {
        $lock = fopen(self::folder().'/lock', 'c') ?: throw new \RuntimeException('no lock file for the seeds');
        flock($lock, LOCK_EX);
        try {
            $build();
        } finally {
            fclose($lock);
        }
    }

    /** @return string 16 characters that change with the code and with the day */
    public static function fingerprint(): string
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

    public static function folder(): string
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
