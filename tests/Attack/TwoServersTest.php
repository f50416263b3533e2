<?php

declare(strict_types=1);

namespace Tests\Attack;

use PHPUnit\Framework\TestCase;
use Tests\PostgresServer;
use Tests\S3\Server as Shelf;

/** Two application servers on one PostgreSQL and one shared disk, and something of them killed again and again. */
final class TwoServersTest extends TestCase
{
    private const VICTIMS = ['a child', 'the listener', 'the whole server', 'the worker', 'a connection of the database'];

    private const ROWS = 20_000;

    private PostgresServer $database;

    private Shelf $shelf;

    /** @var list<Started> */
    private array $servers = [];

    private string $session = '';

    /** @var list<string> */
    private array $acknowledged = [];

    private int $t = 0;

    protected function setUp(): void
    {
        $this->database = new PostgresServer;
        $this->shelf = new Shelf;
        $shared = [...$this->database->environment('shared'), ...$this->shelf->environment(), 'COUNTERS_STORE' => 'counters', 'CACHE_STORE' => 'counters'];
        $this->database->connection('postgres')->exec('create database shared');
        $this->servers = [new Started($shared), new Started($shared)];
        foreach ([['migrate', '--force'], ['harmozon:demo']] as $command) {
            $this->servers[0]->artisan($command)->mustRun();
        }
        array_map(static fn (Started $server) => $server->begin(), $this->servers);
    }

    protected function tearDown(): void
    {
        $this->servers = [];
        $this->shelf->end();
        $this->database->end();
    }

    public function test_nothing_acknowledged_is_lost_whichever_server_is_killed(): void
    {
        foreach ($this->servers as $server) {
            self::assertSame(200, $server->ask('POST', '/demo-sign-in')[0]);
        }
        [$first, $second] = $this->servers;
        $garage = $first->ask('GET', '/garage')[1];
        $body = ['vehicle' => $garage['vehicles'][1]['id'], 'outlet' => $garage['places'][2]['outlets'][2]['id'], 'adapters' => []];
        $this->session = $first->ask('POST', '/sessions', $body)[1]['session']['id'];
        self::assertSame(200, $second->ask('GET', "/sessions/{$this->session}")[0], 'one server knows what the other wrote');
        $file = $this->file($first->ask('POST', '/sessions', $body)[1]['session']['id']);

        for ($kill = 0, $kills = Rounds::of(3, 100); $kill < $kills; $kill++) {
            $before = count($this->acknowledged);
            foreach ($this->servers as $server) {
                $this->write($server);
            }
            self::assertCount($before + 2, $this->acknowledged, "while everything runs, before kill {$kill}");
            $victim = self::VICTIMS[$kill % count(self::VICTIMS)];
            $this->kill($this->servers[intdiv($kill, count(self::VICTIMS)) % 2], $victim);
            // Whoever writes now is refused or answered; what is answered counts.
            for ($i = 0; $i < 4; $i++) {
                $this->write($this->servers[$i % 2]);
            }
            foreach ($this->servers as $server) {
                Started::until($server->isWhole(...), "after {$victim}, kill {$kill}");
                self::assertSame(200, $server->ask('GET', '/me')[0], "after {$victim}, kill {$kill}");
            }
            self::assertSame([], array_diff($this->acknowledged, $this->there()), "after {$victim}, kill {$kill}");
        }
        // The file whose worker was killed is whole, whichever worker took it, and no row of it stands twice.
        Started::until(fn (): bool => in_array($second->ask('GET', "/imports/{$file}")[1]['state'] ?? '', ['done', 'failed'], true), 'the file is in');
        $taken = $second->ask('GET', "/imports/{$file}")[1];
        self::assertSame(['done', self::ROWS], [$taken['state'], $taken['added']], (string) $taken['problem']);
    }

    private function kill(Started $house, string $victim): void
    {
        if ($victim === 'a connection of the database') {
            $this->database->connection('shared')->exec('select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()');

            return;
        }
        [$server, $worker] = $house->groups();
        $answering = $house->processesOf($server);
        foreach (match ($victim) {
            'a child' => [end($answering)],
            'the listener' => [$server],
            'the worker' => $house->processesOf($worker),
            default => $answering,
        } as $pid) {
            posix_kill((int) $pid, SIGKILL);
        }
        Started::until(static fn (): bool => $house->groups() !== [$server, $worker] && count($house->groups()) === 2, "{$victim} begins again");
    }

    private function write(Started $server): void
    {
        $id = strtoupper(substr('01'.bin2hex(random_bytes(12)), 0, 26));
        if ($server->ask('POST', "/sessions/{$this->session}/readings", ['readings' => [['client_id' => $id, 't_s' => $this->t++, 'volts' => 300, 'amps' => 200]]])[0] === 200) {
            $this->acknowledged[] = $id;
        }
    }

    /** @return list<string> */
    private function there(): array
    {
        return ($this->database->connection('shared')->query('select client_id from readings') ?: throw new \RuntimeException('no answer'))->fetchAll(\PDO::FETCH_COLUMN);
    }

    /** @return string the import's id: its pieces went to both servers, and it is being taken */
    private function file(string $session): string
    {
        [$first, $second] = $this->servers;
        $text = "t_s,soc_pct,volts,amps\n".implode("\n", array_map(static fn (int $i): string => sprintf('%d,%.5f,350.000,%.3f', $i, 10 + $i / 1200, 40 + sin($i / 50)), range(0, self::ROWS - 1)));
        $file = $first->ask('POST', "/sessions/{$session}/imports", ['name' => 'readings.csv', 'bytes' => strlen($text)])[1]['id'];
        $half = intdiv(strlen($text), 2);
        self::assertSame(200, $first->send("/imports/{$file}/piece?from=0", substr($text, 0, $half)));
        self::assertSame(200, $second->send("/imports/{$file}/piece?from={$half}", substr($text, $half)));
        self::assertSame(200, $first->ask('POST', "/imports/{$file}/start")[0]);

        return $file;
    }
}
