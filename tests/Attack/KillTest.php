<?php

declare(strict_types=1);

namespace Tests\Attack;

use PHPUnit\Framework\TestCase;

/** A house that runs as people run it, and something of it killed again and again: what was acknowledged is there, and nobody is signed out. */
final class KillTest extends TestCase
{
    private const VICTIMS = ['a child', 'the listener', 'the whole server', 'the worker', 'a backup'];

    private Started $house;

    private string $session = '';

    private int $t = 0;

    /** @var list<string> */
    private array $acknowledged = [];

    public function test_nothing_acknowledged_is_lost_whatever_is_killed(): void
    {
        $this->house = $house = new Started;
        $house->begin();
        self::assertSame(200, $house->ask('POST', '/demo-sign-in')[0]);
        [, $garage] = $house->ask('GET', '/garage');
        $body = ['vehicle' => $garage['vehicles'][1]['id'], 'outlet' => $garage['places'][2]['outlets'][2]['id'], 'adapters' => []];
        $this->session = $house->ask('POST', '/sessions', $body)[1]['session']['id'];
        $file = $this->file($house->ask('POST', '/sessions', $body)[1]['session']['id']);

        for ($kill = 0, $kills = Rounds::of(5, 200); $kill < $kills; $kill++) {
            $victim = self::VICTIMS[$kill % count(self::VICTIMS)];
            $before = count($this->acknowledged);
            for ($i = 0; $i <= $kill % 4; $i++) {
                $this->write();
            }
            self::assertCount($before + $kill % 4 + 1, $this->acknowledged, "while everything runs, before kill {$kill}");
            $this->kill($victim);
            // Whoever writes now is refused or answered; what is answered counts.
            for ($i = 0; $i < 3; $i++) {
                $this->write();
            }
            Started::until($house->isWhole(...), "after {$victim}, kill {$kill}");
            self::assertSame(200, $house->ask('GET', '/me')[0], "after {$victim}, kill {$kill}");
            self::assertSame([], array_diff($this->acknowledged, $this->there()), "after {$victim}, kill {$kill}");
        }
        self::assertSame('ok', (new \PDO("sqlite:{$house->database()}"))->query('pragma integrity_check')->fetchColumn());
        // The file whose worker was killed is whole, and no row of it stands twice.
        Started::until(fn (): bool => in_array($house->ask('GET', "/imports/{$file}")[1]['state'] ?? '', ['done', 'failed'], true), 'the file is in');
        $taken = $house->ask('GET', "/imports/{$file}")[1];
        self::assertSame(['done', 60_000], [$taken['state'], $taken['added']], (string) $taken['problem']);
    }

    private function kill(string $victim): void
    {
        [$server, $worker] = $this->house->groups();
        $answering = $this->house->processesOf($server);
        if ($victim === 'a backup') {
            $backup = $this->house->artisan(['harmozon:backup', "--to={$this->house->folder()}/backups"]);
            $backup->start();
            usleep(random_int(50_000, 400_000));
            $backup->signal(SIGKILL);

            return;
        }
        $pids = match ($victim) {
            'a child' => [end($answering)],
            'the listener' => [$server],
            'the worker' => $this->house->processesOf($worker),
            default => $answering,
        };
        foreach ($pids as $pid) {
            posix_kill((int) $pid, SIGKILL);
        }
        Started::until(fn (): bool => $this->house->groups() !== [$server, $worker] && count($this->house->groups()) === 2, "{$victim} begins again");
    }

    private function write(): void
    {
        $id = strtoupper(substr('01'.bin2hex(random_bytes(12)), 0, 26));
        if ($this->house->ask('POST', "/sessions/{$this->session}/readings", ['readings' => [['client_id' => $id, 't_s' => $this->t++, 'volts' => 300, 'amps' => 200]]])[0] === 200) {
            $this->acknowledged[] = $id;
        }
    }

    /** @return list<string> */
    private function there(): array
    {
        return (new \PDO("sqlite:{$this->house->database()}"))->query('select client_id from readings')->fetchAll(\PDO::FETCH_COLUMN);
    }

    /** @return string the import's id: it is being taken */
    private function file(string $session): string
    {
        $text = "t_s,soc_pct,volts,amps\n".implode("\n", array_map(static fn (int $i): string => sprintf('%d,%.5f,350.000,%.3f', $i, 10 + $i / 1200, 40 + sin($i / 50)), range(0, 59_999)));
        $file = $this->house->ask('POST', "/sessions/{$session}/imports", ['name' => 'readings.csv', 'bytes' => strlen($text)])[1]['id'];
        self::assertSame(200, $this->house->send("/imports/{$file}/piece?from=0", $text));
        self::assertSame(200, $this->house->ask('POST', "/imports/{$file}/start")[0]);

        return $file;
    }
}
