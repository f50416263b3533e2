<?php

declare(strict_types=1);

namespace Tests\S3;

use Illuminate\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** The stand-in as a process, on a port that is free. */
final class Server
{
    private Process $process;

    public readonly string $folder;

    public readonly string $url;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/harmozon-s3-'.bin2hex(random_bytes(6));
        mkdir($this->folder, 0o700);
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('no port is free');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $this->url = "http://127.0.0.1:{$port}";
        $this->process = new Process([PHP_BINARY, '-S', "127.0.0.1:{$port}", __DIR__.'/stand-in.php'], null, ['S3_FOLDER' => $this->folder, 'S3_KEY' => 'made-up']);
        $this->process->start();
        $this->process->waitUntil(static fn (string $type, string $said): bool => str_contains($said, 'started'));
    }

    /** @return array<string, string> what an application server is told */
    public function environment(): array
    {
        return ['HARMOZON_DISK' => 's3', 'AWS_ENDPOINT' => $this->url, 'AWS_ACCESS_KEY_ID' => 'made-up', 'AWS_SECRET_ACCESS_KEY' => 'of nobody', 'AWS_BUCKET' => 'harmozon', 'AWS_DEFAULT_REGION' => 'us-east-1'];
    }

    /** @return list<string> names of what is kept, in order */
    public function kept(): array
    {
        $files = array_map(fn (\SplFileInfo $file): string => substr($file->getPathname(), strlen("{$this->folder}/harmozon/")), (new Filesystem)->allFiles($this->folder));
        sort($files);

        return $files;
    }

    public function end(): void
    {
        $this->process->stop(0);
        (new Filesystem)->deleteDirectory($this->folder);
    }
}
