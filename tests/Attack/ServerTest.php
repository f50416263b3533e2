<?php

declare(strict_types=1);

namespace Tests\Attack;

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
