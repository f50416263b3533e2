<?php

declare(strict_types=1);

namespace Tests\Attack;

use Harmozon\Core\Tests\Cases;
use Illuminate\Support\Arr;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Mutated requests to a real server: each is answered or refused in words, and the garage stays readable. */
final class HttpFuzzTest extends TestCase
{
    private const JUNK = [null, '', 'x', '9e99', '500', -1, 0, 1, 1e308, -1e308, 0.000001, true, false, [], [[]], ['a' => 1], [1, 'two', null], 'ccs1', 'dc', "\u{202e}\0", '../../etc/passwd', "' OR 1=1 --", '<script>'];

    private const AT_ONCE = 4;

    public function test_a_mutated_request_is_answered_or_refused(): void
    {
        $server = new Server;
        $server->start();
        self::assertSame(200, $server->ask('POST', '/demo-sign-in')[0]);
        $sound = self::sound($server);
        $counts = [];
        for ($seed = 0, $rounds = Rounds::of(120, 10_000); $seed < $rounds; $seed += self::AT_ONCE) {
            $calls = array_map(static fn (int $i): array => self::mutated($sound, new Randomizer(new Mt19937($seed + $i))), range(0, self::AT_ONCE - 1));
            foreach ($server->together($calls) as $i => [$status, $said]) {
                $told = sprintf('seed %d: %s %s %s: %d %s', $seed + $i, $calls[$i][0], $calls[$i][1], json_encode($calls[$i][2], JSON_PARTIAL_OUTPUT_ON_ERROR), $status, json_encode($said));
                self::assertTrue($status >= 200 && $status < 500, $told);
                if ($status >= 400) {
                    self::assertNotSame('', $said['message'] ?? '', $told);
                }
                $counts[intdiv($status, 100)] = ($counts[intdiv($status, 100)] ?? 0) + 1;
            }
            if ($seed % 400 === 0) {
                self::assertSame([200, 200, 200], array_column($server->together([['GET', '/garage', null], ['GET', '/board', null], ['GET', '/sessions', null]]), 0), "after seed {$seed}");
            }
        }
        // Both happen, or nothing was tried.
        self::assertGreaterThan(0, min($counts[2] ?? 0, $counts[4] ?? 0));
        self::assertSame([200, 200, 200], array_column($server->together([['GET', '/garage', null], ['GET', '/board', null], ['GET', '/sessions', null]]), 0));
    }

    /** @return list<array{string, string, array<string, mixed>|null}> calls that are accepted as they are */
    private static function sound(Server $server): array
    {
        [, $garage] = $server->ask('GET', '/garage');
        [$car, $place] = [$garage['vehicles'][1], $garage['places'][2]];
        $outlet = $place['outlets'][2];
        $chain = ['vehicle' => $car['id'], 'outlet' => $outlet['id'], 'adapters' => []];
        $session = $server->ask('POST', '/sessions', $chain)[1]['session']['id'];
        $conditions = ['soc_from' => 10, 'soc_to' => 80, 'ambient_c' => 20, 'pack_c' => 10, 'member' => true, 'theta' => ['cable' => 0.5], 'faults' => ['cooling_failed' => true, 'neighbour_at_minute' => 5]];
        [, $log] = $server->ask('GET', '/sessions');
        $past = array_column($log['sessions'], 'id');
        $text = "Zeit;Leistung (W)\n01.05.2026 10:00:00;50000\n01.05.2026 10:01:00;51000\n";
        $files = [];
        foreach (['arriving', 'ready', 'told', 'done'] as $state) {
            $files[$state] = $server->ask('POST', "/sessions/{$session}/imports", ['name' => $state, 'bytes' => strlen($text)])[1]['id'];
            if ($state !== 'arriving') {
                $server->send("/imports/{$files[$state]}/piece?from=0", $text);
            }
        }
        $server->ask('POST', "/imports/{$files['done']}/start", []);
        $mapping = ['delimiter' => ';', 'decimal' => ',', 'encoding' => 'utf-8', 'columns' => ['Leistung (W)' => ['field' => 'kw', 'unit' => 'W', 'sign' => 1]], 'time' => ['column' => 'Zeit', 'format' => 'd.m.Y H:i:s', 'zone' => 'Europe/Oslo']];
        $post = array_diff_key(Cases::DC_POST, ['id' => 0, 'name' => 0]);

        return [
            ['GET', "/board?kit=own&policy=any&outlets={$outlet['id']}&first=3", null],
            ['POST', '/fit', [...$chain, 'policy' => 'any', 'exact' => true, 'conditions' => $conditions]],
            ['POST', '/forecast', ['chains' => [[...$chain, 'exact' => true, 'theta' => ['cable' => 0.4]]], 'kit' => 'own', 'policy' => 'any', 'conditions' => $conditions]],
            ['POST', '/ranking', ['vehicle' => $car['id'], 'kit' => 'own', 'policy' => 'any', 'conditions' => $conditions]],
            ['GET', '/kit?policy=any&together[]='.$car['id'], null],
            ['POST', '/vetting', ['name' => 'A', 'spec' => ['input' => 'ccs1', 'output' => 'j3400', 'current' => 'dc', 'plate' => ['max_v' => 1000, 'continuous_a' => 300], 'vetting' => ['plate_said' => 'yes', 'sold_for' => 'dc']]]],
            ['POST', '/pieces/wishes', ['name' => 'A', 'spec' => ['input' => 'ccs1', 'output' => 'j3400', 'vetting' => ['plate_said' => 'no']]]],
            ['POST', '/pieces/outlets', ['name' => 'Post', 'blurb' => '', 'place' => $place['id'], 'spec' => $post]],
            ['PUT', "/pieces/vehicles/{$car['id']}", ['version' => $car['version'], 'name' => $car['name'], 'spec' => $car['spec']]],
            ['PUT', "/pieces/outlets/{$outlet['id']}", ['version' => $outlet['version'], 'changes' => ['max_v' => 900, 'cable.length_m' => 5, 'stalls' => [['label' => '1', 'fault' => 'sticks']]]]],
            ['POST', '/pieces/adapters/check', ['name' => 'A', 'tag' => 'A9', 'spec' => ['input' => 'ccs1', 'output' => 'j3400', 'plate' => ['max_v' => 1000, 'continuous_a' => 300]]]],
            ['POST', '/sessions', [...$chain, 'note' => 'x', 'conditions' => $conditions]],
            ['POST', "/sessions/{$session}/readings", ['readings' => [['client_id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 't_s' => 10, 'volts' => 300, 'amps' => 200, 'soc_pct' => 20, 'adapter_c' => 30, 'note' => 'x', 'source' => 'station']]]],
            ['DELETE', "/sessions/{$session}/readings/01ARZ3NDEKTSV4RRFFQ69G5FAV", null],
            ['POST', "/sessions/{$session}/finish", []],
            ['POST', "/sessions/{$session}/reopen", []],
            ['PUT', '/garage/habits', ['units' => 'metric']],
            ['POST', '/ocpi/preview', ['file' => 'x', 'terms' => '{"terms": []}']],
            ['POST', '/ocpi/imports/x/undo', null],
            ['POST', "/sessions/{$session}/imports", ['name' => 'a.csv', 'bytes' => 10]],
            ['PUT', "/imports/{$files['arriving']}/piece?from=0", ['not' => 'a file']],
            ['PUT', "/imports/{$files['told']}", ['mapping' => $mapping, 'shift_s' => 30]],
            ['GET', "/imports/{$files['told']}/look", null],
            ['GET', "/imports/{$files['ready']}/look", null],
            ['POST', "/imports/{$files['told']}/start", []],
            ['POST', "/imports/{$files['ready']}/stop", []],
            ['GET', "/sessions/{$session}/imports", null],
            ['GET', "/sessions?q=x&cause=sharing&unread=any&from=2026-01-01&to=2026-12-31&most=3&after={$past[0]}", null],
            ['GET', '/session-sums?verdict=passed&from=2026-01-01', null],
            ['GET', "/compare?session={$past[0]}&baseline={$past[1]}", null],
            ['PUT', "/sessions/{$past[0]}/baselines/{$past[1]}", []],
            ['POST', "/sessions/{$past[0]}/judge-anew", []],
            ['PATCH', "/sessions/{$past[2]}", ['note' => 'x', 'stall' => '2', 'station_kwh' => 30.5, 'paid' => ['amount' => '12.30', 'currency' => 'USD'], 'started_at' => '2026-11-20T10:00:00Z']],
            ['POST', "/sessions/{$session}/events", ['events' => [['client_id' => '01ARZ3NDEKTSV4RRFFQ69G5FAW', 'code' => 'neighbour_came', 't_s' => 5, 'detail' => 'x']]]],
            ['GET', "/imports/{$files['done']}/left-out.csv", null],
            ['GET', "/sessions/{$past[0]}/report.pdf?paper=a4", null],
            ['GET', "/sessions/{$past[0]}/cdr", null],
            ['GET', '/trust', null],
            ['GET', '/memory', null],
            ['POST', '/tokens', ['name' => 'logger', 'days' => 30]],
            ['POST', '/sign-in', ['email' => 'nobody@lanternfish.example', 'password' => 'x']],
        ];
    }

    /**
     * @param  list<array{string, string, array<string, mixed>|null}>  $sound
     * @return array{string, string, array<string, mixed>|null}
     */
    private static function mutated(array $sound, Randomizer $random): array
    {
        [$method, $path, $body] = $sound[$random->getInt(0, count($sound) - 1)];
        if ($random->getInt(0, 9) === 0) {
            $path = str_replace(['own', 'any', '=3'], ['%00', str_repeat('y', 300), '=-3'], $path).substr($random->shuffleBytes('/?&=%2.x'), 0, $random->getInt(1, 4));
        }
        if ($random->getInt(0, 19) === 0) {
            $method = ['GET', 'POST', 'PUT', 'DELETE', 'PATCH'][$random->getInt(0, 4)];
        }
        for ($i = $random->getInt(0, 3); $i > 0 && is_array($body) && $body !== []; $i--) {
            $paths = array_keys(Arr::dot($body));
            $at = (string) $paths[$random->getInt(0, count($paths) - 1)];
            // A part of the way down at times: whole objects become junk too.
            $at = $random->getInt(0, 2) === 0 ? explode('.', $at)[0] : $at;
            Arr::set($body, $at, self::JUNK[$random->getInt(0, count(self::JUNK) - 1)]);
        }

        return [$method, $path, $body];
    }
}
