<?php

declare(strict_types=1);

namespace Tests\Attack;

use Symfony\Component\Process\Process;
use Tests\Seed;

/** A real server with a database of its own. */
final class Server extends Browser
{
    private ?Process $process = null;

    private readonly string $folder;

    public function __construct()
    {
        parent::__construct();
        $this->folder = sys_get_temp_dir().'/harmozon-attack-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        Seed::Demo->writeTo($this->database());
    }

    public function start(): void
    {
        $this->process = new Process(['php', '-S', "127.0.0.1:{$this->port}", 'server.php'], dirname(__DIR__, 2), $this->environment());
        $this->process->setTimeout(null)->disableOutput()->start();
        for ($try = 0; $try < 200; $try++) {
            $socket = @fsockopen('127.0.0.1', $this->port);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(25_000);
        }
        throw new \RuntimeException('the server does not answer');
    }

    /** All of it at once, as when the power goes. */
    public function kill(): void
    {
        $pid = $this->process?->getPid();
        if ($pid !== null) {
            exec("pkill -9 -P {$pid}; kill -9 {$pid} 2>/dev/null");
            while ($this->process?->isRunning() === true) {
                usleep(1000);
            }
        }
        $this->process = null;
    }

    public function __destruct()
    {
        $this->kill();
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        rmdir($this->folder);
    }

    /** Memory of its own that all of it takes now, what it shares left out (MB). */
    public function memoryMb(): float
    {
        $pid = (int) $this->process?->getPid();
        $kib = 0;
        foreach ([$pid, ...explode(' ', trim((string) @file_get_contents("/proc/{$pid}/task/{$pid}/children")))] as $process) {
            $kib += preg_match('/^RssAnon:\s+(\d+)/m', (string) @file_get_contents("/proc/{$process}/status"), $m) === 1 ? (int) $m[1] : 0;
        }

        return $kib / 1000;
    }

    /** Takes the files that wait, as build/work.sh does, and does something again and again until they are taken. */
    public function takeWaitingFiles(\Closure $meanwhile): void
    {
        $worker = new Process(['build/work.sh', '--until-empty'], dirname(__DIR__, 2), $this->environment());
        $worker->setTimeout(300)->start();
        while ($worker->isRunning()) {
            $meanwhile();
        }
        $worker->isSuccessful() || throw new \RuntimeException($worker->getErrorOutput());
    }

    /**
     * A command beside it.
     *
     * @param  list<string>  $command
     * @param  array<string, string>  $elsewhere  of its surroundings, what is not the server's
     */
    public function artisan(array $command, array $elsewhere = []): Process
    {
        return (new Process(['php', 'artisan', ...$command], dirname(__DIR__, 2), [...$this->environment(), ...$elsewhere]))->setTimeout(120);
    }

    public function database(): string
    {
        return $this->folder.'/attack.sqlite';
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return [
            'APP_ENV' => 'production', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'DB_DATABASE' => $this->database(), 'HARMOZON_DEMO' => 'true',
            'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'file', 'COUNTERS_STORE' => 'counters', 'LOG_CHANNEL' => 'null', 'PHP_CLI_SERVER_WORKERS' => '4',
            'PHP_INI_SCAN_DIR' => ':'.dirname(__DIR__, 2).'/config/php',
        ];
    }
}
