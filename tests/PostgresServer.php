<?php

declare(strict_types=1);

namespace Tests;

use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/** A PostgreSQL of a test's own: it goes with the test. */
final class PostgresServer
{
    private readonly Process $process;

    private readonly InputStream $open;

    public readonly string $host;

    public function __construct()
    {
        $this->open = new InputStream;
        $this->process = new Process([__DIR__.'/postgres.sh', 'bash', '-c', 'echo "at $DB_HOST"; cat >/dev/null'], dirname(__DIR__), timeout: null);
        $this->process->setInput($this->open)->start();
        $this->process->waitUntil(static fn (string $type, string $said): bool => str_contains($said, "\n"));
        if (preg_match('/^at (\S+)$/m', $this->process->getOutput(), $found) !== 1) {
            throw new \RuntimeException($this->process->getErrorOutput());
        }
        $this->host = $found[1];
    }

    public function connection(string $database): \PDO
    {
        return new \PDO("pgsql:host={$this->host};dbname={$database}", 'harmozon');
    }

    /** @return array<string, string> what an application is told */
    public function environment(string $database): array
    {
        return ['DB_CONNECTION' => 'pgsql', 'DB_HOST' => $this->host, 'DB_PORT' => '5432', 'DB_USERNAME' => 'harmozon', 'DB_PASSWORD' => '', 'DB_DATABASE' => $database];
    }

    public function end(): void
    {
        $this->open->close();
        $this->process->wait();
    }
}
