<?php

declare(strict_types=1);

namespace Tests\Attack;

use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\Assert;
use Symfony\Component\Process\Process;
use Tests\Seed;

/** A house of its own as `./harmozon start` keeps it running: a server, a worker, and what watches over both. */
final class Started extends Browser
{
    private readonly string $folder;

    private ?Process $running = null;

    /** @param  array<string, string>  $shared  with other servers: a database and a disk that are not its own */
    public function __construct(private readonly array $shared = [])
    {
        parent::__construct();
        $this->folder = sys_get_temp_dir().'/harmozon-start-'.bin2hex(random_bytes(6));
        foreach (['app/imports', 'framework/views', 'framework/cache/data', 'logs'] as $folder) {
            mkdir("{$this->folder}/storage/{$folder}", 0700, true);
        }
        $shared === [] && Seed::Demo->writeTo($this->database());
    }

    public function __destruct()
    {
        foreach ($this->groups() as $group) {
            $group === '0' || exec("pkill -9 -g {$group}");
        }
        $this->running?->stop(5);
        (new Filesystem)->deleteDirectory($this->folder);
        (new Filesystem)->deleteDirectory($this->place());
    }

    public function begin(): void
    {
        $before = $this->groups();
        $this->running = $this->process();
        $this->running->start();
        self::until(fn (): bool => count(array_diff($this->groups(), $before, ['0'])) === 2 && $this->isWhole(), 'the server answers');
    }

    /** Another one for the same port. */
    public function process(): Process
    {
        return (new Process(['build/run.sh', (string) $this->port], self::root(), $this->environment()))->setTimeout(null);
    }

    /** @param  list<string>  $command */
    public function artisan(array $command): Process
    {
        return (new Process(['php', 'artisan', ...$command], self::root(), $this->environment()))->setTimeout(120);
    }

    public function watcher(): ?Process
    {
        return $this->running;
    }

    public function isWhole(): bool
    {
        return $this->isOpen() && count($this->processesOf($this->groups()[0] ?? '0')) === 5;
    }

    public function isOpen(): bool
    {
        $socket = @fsockopen('127.0.0.1', $this->port);

        return $socket !== false && fclose($socket);
    }

    public function database(): string
    {
        return "{$this->folder}/start.sqlite";
    }

    public function folder(): string
    {
        return $this->folder;
    }

    /** @return list<string> of processes: the server's, the worker's */
    public function groups(): array
    {
        return array_slice(@file("{$this->place()}/running", FILE_IGNORE_NEW_LINES) ?: [], 1);
    }

    /** @return list<string> */
    public function processesOf(string $group): array
    {
        exec("pgrep -r D,I,R,S,T -g {$group}", $found);

        return $found;
    }

    /** @param  callable(): bool  $happened */
    public static function until(callable $happened, string $what): void
    {
        $waits = hrtime(true) + 30_000_000_000;
        while (! $happened()) {
            Assert::assertLessThan($waits, hrtime(true), $what);
            usleep(20_000);
        }
    }

    private function place(): string
    {
        return self::root()."/.cache/served-{$this->port}";
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2);
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return [
            'APP_ENV' => 'production', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'DB_DATABASE' => $this->database(), 'HARMOZON_DEMO' => 'true',
            'LARAVEL_STORAGE_PATH' => "{$this->folder}/storage", 'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'file', 'COUNTERS_STORE' => 'counters', 'LOG_CHANNEL' => 'null', 'PHP_INI_SCAN_DIR' => ':'.self::root().'/config/php',
            ...$this->shared,
        ];
    }
}
