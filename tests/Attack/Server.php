<?php

declare(strict_types=1);

namespace Tests\Attack;

use Symfony\Component\Process\Process;
use Tests\Seed;

/** A real server with a database of its own, and a browser's worth of cookies. */
final class Server
{
    private ?Process $process = null;

    private readonly string $folder;

    private readonly int $port;

    /** @var array<string, string> */
    private array $cookies = [];

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/harmozon-attack-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        Seed::Demo->writeTo($this->database());
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('no free port');
        $this->port = (int) substr(strrchr((string) stream_socket_get_name($socket, false), ':') ?: '', 1);
        fclose($socket);
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

    /**
     * @param  array<string, mixed>|null  $body
     * @return array{int, array<string, mixed>} status (0 when nothing answered) and what it said
     */
    public function ask(string $method, string $path, ?array $body = null): array
    {
        return $this->together([[$method, $path, $body]])[0];
    }

    /** A piece of a file, as it is. */
    public function send(string $path, string $bytes): int
    {
        $handle = $this->handle('PUT', $path, null);
        curl_setopt_array($handle, [CURLOPT_POSTFIELDS => $bytes, CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/octet-stream', 'X-XSRF-TOKEN: '.rawurldecode($this->cookies['XSRF-TOKEN'] ?? '')]]);
        curl_exec($handle);

        return (int) curl_getinfo($handle, CURLINFO_HTTP_CODE);
    }

    /**
     * Several at the same time.
     *
     * @param  list<array{string, string, array<string, mixed>|null}>  $calls
     * @return list<array{int, array<string, mixed>}>
     */
    public function together(array $calls): array
    {
        return $this->answers(array_map(fn (array $call): \CurlHandle => $this->handle(...$call), $calls));
    }

    /**
     * The same file to several places at the same time.
     *
     * @param  list<string>  $paths
     * @return list<array{int, array<string, mixed>}>
     */
    public function upload(array $paths, string $file, \Closure $meanwhile): array
    {
        return $this->answers(array_map(function (string $path) use ($file): \CurlHandle {
            $handle = $this->handle('POST', $path, null);
            curl_setopt_array($handle, [CURLOPT_POSTFIELDS => ['file' => new \CURLFile($file)], CURLOPT_HTTPHEADER => ['Accept: application/json', 'X-XSRF-TOKEN: '.rawurldecode($this->cookies['XSRF-TOKEN'] ?? '')]]);

            return $handle;
        }, $paths), $meanwhile);
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

    /**
     * @param  list<\CurlHandle>  $handles
     * @return list<array{int, array<string, mixed>}>
     */
    private function answers(array $handles, ?\Closure $meanwhile = null): array
    {
        $all = curl_multi_init();
        array_map(static fn (\CurlHandle $h): int => curl_multi_add_handle($all, $h), $handles);
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all, 0.05);
            $meanwhile === null || $meanwhile();
        } while ($running > 0);

        return array_map(static function (\CurlHandle $h): array {
            $said = json_decode((string) curl_multi_getcontent($h), true);

            return [(int) curl_getinfo($h, CURLINFO_HTTP_CODE), is_array($said) ? $said : []];
        }, $handles);
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

    /** @param  array<string, mixed>|null  $body */
    private function handle(string $method, string $path, ?array $body): \CurlHandle
    {
        $handle = curl_init("http://127.0.0.1:{$this->port}/api{$path}") ?: throw new \RuntimeException('no handle');
        curl_setopt_array($handle, [
            CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 120,
            CURLOPT_POSTFIELDS => $body === null ? null : json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR),
            CURLOPT_COOKIE => implode('; ', array_map(static fn (string $n, string $v): string => "{$n}={$v}", array_keys($this->cookies), $this->cookies)),
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', 'X-XSRF-TOKEN: '.rawurldecode($this->cookies['XSRF-TOKEN'] ?? '')],
            CURLOPT_HEADERFUNCTION => function (\CurlHandle $_, string $header): int {
                if (preg_match('/^Set-Cookie: ([^=]+)=([^;]*)/i', $header, $m) === 1) {
                    $this->cookies[$m[1]] = $m[2];
                }

                return strlen($header);
            },
        ]);

        return $handle;
    }

    private function database(): string
    {
        return $this->folder.'/attack.sqlite';
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return [
            'APP_ENV' => 'production', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'DB_DATABASE' => $this->database(), 'HARMOZON_DEMO' => 'true',
            'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'file', 'LOG_CHANNEL' => 'null', 'PHP_CLI_SERVER_WORKERS' => '4',
            'PHP_INI_SCAN_DIR' => ':'.dirname(__DIR__, 2).'/config/php',
        ];
    }
}
