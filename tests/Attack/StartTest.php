<?php

declare(strict_types=1);

namespace Tests\Attack;

use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Seed;

/** What `./harmozon start` keeps running: children that die are replaced, nothing is left behind, and two do not fight for one port. */
final class StartTest extends TestCase
{
    private string $folder;

    private int $port;

    private ?Process $running = null;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/harmozon-start-'.bin2hex(random_bytes(6));
        foreach (['app/imports', 'framework/views', 'framework/cache/data', 'logs'] as $folder) {
            mkdir("{$this->folder}/storage/{$folder}", 0700, true);
        }
        Seed::Demo->writeTo("{$this->folder}/start.sqlite");
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('no free port');
        $this->port = (int) substr(strrchr((string) stream_socket_get_name($socket, false), ':') ?: '', 1);
        fclose($socket);
    }

    protected function tearDown(): void
    {
        foreach ($this->kept() as $group) {
            $group === '0' || exec("pkill -9 -g {$group}");
        }
        $this->running?->stop(5);
        (new Filesystem)->deleteDirectory($this->folder);
        (new Filesystem)->deleteDirectory($this->place());
    }

    public function test_what_dies_begins_again_and_nothing_is_left_behind(): void
    {
        $this->begin();
        for ($round = 0, $rounds = Rounds::of(1, 30); $round < $rounds; $round++) {
            [$server, $worker] = $this->kept();
            $answering = $this->processesOf($server);
            self::assertCount(5, $answering);

            posix_kill((int) end($answering), SIGKILL);
            $this->until(fn (): bool => $this->kept()[0] !== $server && $this->answers(), 'a child that died is replaced');
            posix_kill((int) $worker, SIGKILL);
            $this->until(fn (): bool => ($this->kept()[1] ?? $worker) !== $worker, 'so is the worker');

            $server = $this->kept()[0];
            posix_kill((int) $server, SIGKILL);
            $this->until(fn (): bool => $this->kept()[0] !== $server && $this->answers(), 'and the one that listens, whose children hold the port');
        }
        $left = $this->kept();
        $this->running?->signal(SIGTERM);
        $this->running?->wait();
        self::assertSame([[], []], array_map($this->processesOf(...), $left));
        self::assertFalse($this->answers());
    }

    public function test_what_an_earlier_one_left_behind_is_ended_and_a_second_says_who_is_there(): void
    {
        $this->begin();
        $second = $this->process();
        self::assertSame(1, $second->run());
        self::assertStringContainsString("port {$this->port} is served from this folder already, by process {$this->running?->getPid()}", $second->getErrorOutput());

        $left = $this->kept();
        $this->running?->signal(SIGKILL);
        $this->until(fn (): bool => $this->running?->isRunning() === false, 'it is gone');
        self::assertTrue($this->answers(), 'its server goes on alone');
        $this->begin();
        self::assertNotSame($left, $this->kept());
        self::assertSame([[], []], array_map($this->processesOf(...), $left));
    }

    public function test_a_port_that_another_program_holds_is_told_with_its_holder(): void
    {
        $other = new Process([PHP_BINARY, '-S', "127.0.0.1:{$this->port}", '-t', $this->folder]);
        $other->start();
        $this->until($this->answers(...), 'the other program listens');
        $refused = $this->process();

        self::assertSame(1, $refused->run());
        self::assertStringContainsString("port {$this->port} is taken by process {$other->getPid()}", $refused->getErrorOutput());
        self::assertTrue($this->answers(), 'it is left alone');
        $other->stop(1);
    }

    private function begin(): void
    {
        $before = $this->kept();
        $this->running = $this->process();
        $this->running->start();
        $this->until(fn (): bool => count(array_diff($this->kept(), $before, ['0'])) === 2 && $this->answers() && count($this->processesOf($this->kept()[0])) === 5, 'the server answers');
    }

    private function process(): Process
    {
        return (new Process(['build/run.sh', (string) $this->port], dirname(__DIR__, 2), [
            'APP_ENV' => 'production', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'DB_DATABASE' => "{$this->folder}/start.sqlite", 'HARMOZON_DEMO' => 'true',
            'LARAVEL_STORAGE_PATH' => "{$this->folder}/storage", 'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'file', 'LOG_CHANNEL' => 'null', 'PHP_INI_SCAN_DIR' => ':'.dirname(__DIR__, 2).'/config/php',
        ]))->setTimeout(null);
    }

    private function answers(): bool
    {
        $socket = @fsockopen('127.0.0.1', $this->port);

        return $socket !== false && fclose($socket);
    }

    /** @return list<string> of the server and of the worker */
    private function kept(): array
    {
        return array_slice(@file("{$this->place()}/running", FILE_IGNORE_NEW_LINES) ?: [], 1);
    }

    /** @return list<string> */
    private function processesOf(string $group): array
    {
        exec("pgrep -r D,I,R,S,T -g {$group}", $found);

        return $found;
    }

    private function place(): string
    {
        return dirname(__DIR__, 2)."/.cache/served-{$this->port}";
    }

    /** @param  callable(): bool  $happened */
    private function until(callable $happened, string $what): void
    {
        $waits = hrtime(true) + 30_000_000_000;
        while (! $happened()) {
            self::assertLessThan($waits, hrtime(true), $what);
            usleep(20_000);
        }
    }
}
