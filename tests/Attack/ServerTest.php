<?php

declare(strict_types=1);

namespace Tests\Attack;

use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\TestCase;

/** A real server under several hands, and killed at any moment: what was acknowledged is there, and nobody is signed out. */
final class ServerTest extends TestCase
{
    private static ?Server $server = null;

    public static function tearDownAfterClass(): void
    {
        self::$server = null;
    }

    private static function server(): Server
    {
        if (self::$server === null) {
            self::$server = new Server;
            self::$server->start();
            self::assertSame(200, self::$server->ask('POST', '/demo-sign-in')[0]);
        }

        return self::$server;
    }

    public function test_every_reading_acknowledged_while_a_session_is_finished_is_in_its_verdict(): void
    {
        $server = self::server();
        for ($round = 0, $rounds = Rounds::of(4, 50); $round < $rounds; $round++) {
            $id = self::begin($server);
            self::assertSame(200, $server->ask('POST', "/sessions/{$id}/readings", ['readings' => self::readings($round * 100, 5)])[0]);
            $answers = $server->together([
                ['POST', "/sessions/{$id}/readings", ['readings' => self::readings($round * 100 + 10, 1)]],
                ['POST', "/sessions/{$id}/finish", []],
                ['POST', "/sessions/{$id}/readings", ['readings' => self::readings($round * 100 + 20, 1)]],
                ['POST', "/sessions/{$id}/readings", ['readings' => self::readings($round * 100 + 30, 1)]],
            ]);
            $acknowledged = 5 + count(array_filter([$answers[0], $answers[2], $answers[3]], static fn (array $a): bool => $a[0] === 200));
            self::assertSame(200, $answers[1][0]);
            $line = array_values(array_filter($server->ask('GET', '/sessions')[1]['sessions'], static fn (array $s): bool => $s['id'] === $id))[0];

            self::assertSame($acknowledged, $line['summary']['readings'] ?? null, "round {$round}");
        }
    }

    public function test_a_killed_server_loses_nothing_that_it_acknowledged_and_signs_nobody_out(): void
    {
        $server = self::server();
        $id = self::begin($server);
        $acknowledged = 0;
        for ($kill = 0, $kills = Rounds::of(3, 60); $kill < $kills; $kill++) {
            for ($i = 0; $i < 1 + $kill % 5; $i++) {
                $acknowledged += $server->ask('POST', "/sessions/{$id}/readings", ['readings' => self::readings(10_000 + $kill * 100 + $i * 10, 1)])[0] === 200 ? 1 : 0;
            }
            $server->kill();
            self::assertSame(0, $server->ask('GET', '/me')[0]);
            $server->start();

            self::assertSame(200, $server->ask('GET', '/me')[0], "kill {$kill}");
            self::assertGreaterThanOrEqual($acknowledged, $server->ask('GET', "/sessions/{$id}/readings")[1]['count'], "kill {$kill}");
        }
    }

    public function test_while_a_long_file_comes_in_everybody_else_is_answered(): void
    {
        $server = self::server();
        $rows = Rounds::of(40_000, 400_000);
        [$own, $other] = [self::begin($server), self::begin($server)];
        $file = self::arrive($server, $own, $rows);
        self::assertSame('waiting', $server->ask('POST', "/imports/{$file}/start")[1]['state'] ?? null);
        $waits = $refused = [];
        $server->takeWaitingFiles(static function () use ($server, $other, &$waits, &$refused): void {
            $began = hrtime(true);
            [$status] = $server->ask('POST', "/sessions/{$other}/readings", ['readings' => self::readings(count($waits), 1)]);
            $waits[] = (hrtime(true) - $began) / 1e9;
            if ($status !== 200) {
                $refused[] = $status;
            }
        });

        $taken = $server->ask('GET', "/imports/{$file}")[1];
        self::assertSame(['done', $rows], [$taken['state'] ?? null, $taken['added'] ?? null], (string) ($taken['problem'] ?? ''));
        self::assertSame([], $refused);
        self::assertSame(count($waits), $server->ask('GET', "/sessions/{$other}/readings")[1]['count']);
        self::assertSame(204, $server->ask('DELETE', "/imports/{$file}")[0]);
        if ($rows > 100_000) {
            fwrite(STDERR, sprintf("\n%d readings of others while %d rows came in; the longest wait %.2f s\n", count($waits), $rows, max($waits)));
            self::assertLessThan(2.0, max($waits));
        }
    }

    /** As large as any may be, in the long round: one is drawn after the other. */
    public function test_four_photographs_at_once_take_no_more_memory_than_a_small_server_has(): void
    {
        $server = self::server();
        [, $garage] = $server->ask('GET', '/garage');
        $side = Rounds::of(2_000, 4_000);
        $large = imagecreatetruecolor($side, $side);
        for ($i = 0; $i < $side; $i++) {
            imageline($large, 0, $i, $side - 1, ($i * 7) % $side, $i * 4_099);
        }
        $file = tempnam(sys_get_temp_dir(), 'photo').'.jpg';
        imagejpeg($large, $file, 70);
        unset($large);
        $before = $most = $server->memoryMb();
        $began = hrtime(true);
        $answers = $server->upload(array_map(static fn (array $car): string => "/pieces/vehicles/{$car['id']}/photos", array_slice($garage['vehicles'], 0, 4)), $file, static function () use ($server, &$most): void {
            $most = max($most, $server->memoryMb());
        });
        $tookS = (hrtime(true) - $began) / 1e9;
        unlink($file);

        self::assertSame([201, 201, 201, 201], array_column($answers, 0), (string) json_encode($answers));
        self::assertGreaterThan($before + 10, $most, 'what it takes was seen');
        self::assertLessThan(300, $most);
        if (getenv('HARMOZON_ATTACK') === 'long') {
            fwrite(STDERR, sprintf("\nfour photographs at once: %.0f MB at the most, %.1f s\n", $most, $tookS));
        }
    }

    /** @return string the import's id: its file has come, and nothing of it is taken */
    private static function arrive(Server $server, string $session, int $rows): string
    {
        $text = "t_s,soc_pct,volts,amps\n".implode("\n", array_map(static fn (int $i): string => sprintf('%d,%.5f,350.000,%.3f', $i, 10 + 60 * $i / $rows, 40 + sin($i / 50)), range(0, $rows - 1)));
        [$status, $import] = $server->ask('POST', "/sessions/{$session}/imports", ['name' => 'readings.csv', 'bytes' => strlen($text)]);
        self::assertSame(201, $status);
        foreach (str_split($text, 4_000_000) as $i => $piece) {
            self::assertSame(200, $server->send("/imports/{$import['id']}/piece?from=".$i * 4_000_000, $piece));
        }

        return $import['id'];
    }

    /** Written, backed up while it is written, killed, restored into an empty house: all that was acknowledged before is there. */
    public function test_a_backup_taken_while_people_write_holds_all_that_was_acknowledged_before_it(): void
    {
        $server = self::server();
        $id = self::begin($server);
        $acknowledged = [];
        $growing = $_ENV['LARAVEL_STORAGE_PATH'].'/app/imports/growing.csv';
        @mkdir(dirname($growing), 0700, true);
        $write = static function (int $t) use ($server, $id, &$acknowledged): void {
            $one = self::readings($t, 3);
            if ($server->ask('POST', "/sessions/{$id}/readings", ['readings' => $one])[0] === 200) {
                array_push($acknowledged, ...array_column($one, 'client_id'));
            }
        };
        for ($round = 0, $rounds = Rounds::of(2, 20); $round < $rounds; $round++) {
            $house = sys_get_temp_dir().'/harmozon-drill-'.bin2hex(random_bytes(6));
            foreach (['app', 'framework/views', 'logs'] as $folder) {
                mkdir("{$house}/storage/{$folder}", 0700, true);
            }
            $write($round * 10_000);
            $before = $acknowledged;
            $backup = $server->artisan(['harmozon:backup', "--to={$house}"]);
            file_put_contents($growing, "t_s,kw\n");
            $backup->start();
            for ($t = $round * 10_000 + 10; $backup->isRunning(); $t += 10) {
                // A readings file that arrives meanwhile grows under the hands of whoever packs it.
                file_put_contents($growing, str_repeat("{$t},50\n", 1_000), FILE_APPEND);
                $write($t);
            }
            unlink($growing);
            $server->kill();
            self::assertTrue($backup->isSuccessful(), $backup->getOutput().$backup->getErrorOutput());
            $restore = $server->artisan(['harmozon:restore', (string) (glob("{$house}/*.zip") ?: [''])[0]], ['DB_DATABASE' => "{$house}/restored.sqlite", 'LARAVEL_STORAGE_PATH' => "{$house}/storage"]);
            $restore->run();
            self::assertTrue($restore->isSuccessful(), $restore->getOutput().$restore->getErrorOutput());

            $restored = new \PDO("sqlite:{$house}/restored.sqlite");
            $there = $restored->query('select client_id from readings')->fetchAll(\PDO::FETCH_COLUMN);
            self::assertSame([], array_diff($before, $there), "round {$round}");
            self::assertSame([], $restored->query('pragma foreign_key_check')->fetchAll());
            self::assertSame('ok', $restored->query('pragma integrity_check')->fetchColumn());
            (new Filesystem)->deleteDirectory($house);
            $server->start();
        }
        self::assertGreaterThan(0, count($acknowledged));
    }

    private static function begin(Server $server): string
    {
        [$found, $garage] = $server->ask('GET', '/garage');
        self::assertSame(200, $found);
        $body = ['vehicle' => $garage['vehicles'][1]['id'], 'outlet' => $garage['places'][2]['outlets'][2]['id'], 'adapters' => []];
        [$status, $report] = $server->ask('POST', '/sessions', $body);
        self::assertSame(201, $status);

        return $report['session']['id'];
    }

    /** @return list<array<string, mixed>> */
    private static function readings(int $fromS, int $count): array
    {
        $id = static fn (int $i): string => strtoupper(substr('01'.bin2hex(random_bytes(12)), 0, 26));

        return array_map(static fn (int $i): array => ['client_id' => $id($i), 't_s' => $fromS + $i, 'volts' => 300, 'amps' => 200 + $i], range(0, $count - 1));
    }
}
