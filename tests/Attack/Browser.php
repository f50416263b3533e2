<?php

declare(strict_types=1);

namespace Tests\Attack;

/** A browser's worth of cookies, and calls to one port of this machine. */
abstract class Browser
{
    protected readonly int $port;

    /** @var array<string, string> */
    private array $cookies = [];

    public function __construct()
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('no free port');
        $this->port = (int) substr(strrchr((string) stream_socket_get_name($socket, false), ':') ?: '', 1);
        fclose($socket);
    }

    public function port(): int
    {
        return $this->port;
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

    /**
     * Several at the same time, each with headers and a body as they are.
     *
     * @param  list<array{string, string, list<string>, string}>  $calls
     * @return list<array{int, array<string, mixed>}>
     */
    public function raw(array $calls): array
    {
        return $this->answers(array_map(function (array $call): \CurlHandle {
            [$method, $path, $headers, $body] = $call;
            $handle = $this->handle($method, $path, null);
            curl_setopt_array($handle, [CURLOPT_POSTFIELDS => $body, CURLOPT_HTTPHEADER => ['Accept: application/json', 'X-XSRF-TOKEN: '.rawurldecode($this->cookies['XSRF-TOKEN'] ?? ''), 'Expect:', ...$headers]]);

            return $handle;
        }, $calls));
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
}
