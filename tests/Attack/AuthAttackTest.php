<?php

declare(strict_types=1);

namespace Tests\Attack;

use App\Http\Middleware\BodyLimit;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Sample;

/** What comes in at the doors of a real server: strange hosts, guesses in parallel, bodies of every size, pictures that are none, and a lock that somebody holds. */
final class AuthAttackTest extends TestCase
{
    private const JSON = 'Content-Type: application/json';

    private static ?Server $server = null;

    public static function setUpBeforeClass(): void
    {
        self::$server = new Server;
        self::$server->start();
        self::assertSame(200, self::$server->ask('POST', '/demo-sign-in')[0]);
    }

    public static function tearDownAfterClass(): void
    {
        self::$server = null;
    }

    public function test_a_host_that_is_not_ours_gets_no_further_than_the_door(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $names = ['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example', '127.0.0.2', '0.0.0.0', '[::2]', 'localhost@evil.example', 'LOCALHOST:x', "localhost\tevil", '2130706433', '0x7f000001', 'xn--80ak6aa92e.example'];
        for ($i = 0, $rounds = Rounds::of(24, 1_000); $i < $rounds; $i++) {
            $host = $i < count($names) ? $names[$i] : self::letters($random, $random->getInt(1, 40));
            [$method, $path, $body] = [['POST', '/password/forgotten', '{"email":"marionette@lanternfish.example"}'], ['GET', '/me', ''], ['POST', '/sign-in', '{}']][$i % 3];
            [[$status, $said]] = self::server()->raw([[$method, $path, [self::JSON, "Host: {$host}"], $body]]);
            self::assertSame(400, $status, "{$host}: ".json_encode($said));
        }
        self::assertSame(200, self::server()->raw([['GET', '/me', ['Host: localhost'], '']])[0][0]);
    }

    public function test_guesses_in_parallel_are_counted_one_by_one(): void
    {
        for ($round = 0, $rounds = Rounds::of(2, 20); $round < $rounds; $round++) {
            $guess = json_encode(['email' => "somebody{$round}@wren.example", 'password' => 'a guess']);
            $statuses = array_count_values(array_column(self::server()->raw(array_fill(0, 24, ['POST', '/sign-in', [self::JSON, "Origin: {$this->origin()}"], (string) $guess])), 0));
            // Five are free; of those that are under way at that moment each of four processes may let one more through. The address itself waits from the 30th on.
            self::assertSame([], array_diff(array_keys($statuses), [422, 429]), (string) json_encode($statuses));
            self::assertLessThanOrEqual(9, $statuses[422] ?? 0);
            self::assertGreaterThanOrEqual(15, $statuses[429] ?? 0);
        }
        // Who asks for a new password has a door of their own, and who is signed in goes on.
        self::assertNotSame(429, self::server()->raw([['POST', '/password/forgotten', [self::JSON, "Origin: {$this->origin()}"], '{"email":"somebody0@wren.example"}']])[0][0]);
        self::assertSame(200, self::server()->ask('GET', '/me')[0]);
    }

    public function test_a_body_of_any_size_and_kind_is_taken_or_refused_in_words(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $kinds = ['application/json', 'application/json; charset=utf-16', 'text/plain', 'application/octet-stream', 'application/x-www-form-urlencoded', 'multipart/form-data', 'multipart/form-data; boundary=x', 'application/vnd.api+json', ''];
        $fill = ['{"a":', '[', '"', "\0", "\xff", '{"name":"'.str_repeat('x', 50).'"}', '9', "\n", '--x', '%00&a[]=1'];
        for ($i = 0, $rounds = Rounds::of(40, 1_500); $i < $rounds; $i++) {
            $size = [0, 1, 100, 4_096, 65_536, BodyLimit::JSON - 1, BodyLimit::JSON, BodyLimit::JSON + 1, 3_000_000, 5_000_000][$random->getInt(0, 9)];
            $of = $fill[$random->getInt(0, count($fill) - 1)];
            $body = substr(str_repeat($of, intdiv($size, strlen($of)) + 1), 0, $size);
            $kind = $kinds[$random->getInt(0, count($kinds) - 1)];
            $path = ['/fit', '/forecast', '/pieces/vehicles', '/sign-in', '/imports/x/piece?from=0', '/garage/import', '/ocpi/preview', '/nothing'][$random->getInt(0, 7)];
            $told = "{$path}, {$kind}, ".strlen($body).' bytes of '.json_encode($of, JSON_PARTIAL_OUTPUT_ON_ERROR);
            [[$status, $said]] = self::server()->raw([[str_contains($path, 'piece?') ? 'PUT' : 'POST', $path, ["Content-Type: {$kind}"], $body]]);
            self::holds($status, $said, $told);
            if (strlen($body) > BodyLimit::JSON && $kind === 'application/json') {
                self::assertSame(413, $status, $told);
            }
        }
    }

    public function test_a_picture_is_drawn_or_refused_by_its_header(): void
    {
        [, $garage] = self::server()->ask('GET', '/garage');
        $path = "/pieces/vehicles/{$garage['vehicles'][0]['id']}/photos";
        $random = new Randomizer(new Mt19937(3));
        $file = (string) tempnam(sys_get_temp_dir(), 'picture');
        for ($i = 0, $rounds = Rounds::of(25, 600); $i < $rounds; $i++) {
            [$width, $height] = [[1, 2, 4_000, 4_001, 65_535, 100_000, 2_147_483_647][$random->getInt(0, 6)], [1, 3, 4_000, 65_535, 2_147_483_647][$random->getInt(0, 4)]];
            $bytes = match ($random->getInt(0, 3)) {
                0 => self::png($width, $height, 'IDAT'),
                1 => self::png($width, $height, $random->getBytes(8)),
                2 => "\xff\xd8\xff\xc0\0\x11\x08".pack('nn', $height & 65_535, $width & 65_535)."\x03".$random->getBytes(300),
                default => 'RIFF'.pack('V', 300).'WEBPVP8X'.pack('V', 10)."\0\0\0\0".substr(pack('V', $width), 0, 3).substr(pack('V', $height), 0, 3).$random->getBytes(60),
            };
            file_put_contents($file, $bytes);
            [[$status, $said]] = self::server()->upload([$path], $file, static fn (): null => null);
            self::holds($status, $said, "{$width} x {$height}");
        }
        unlink($file);
    }

    public function test_whoever_looks_is_answered_while_somebody_holds_the_lock_and_whoever_writes_is_told(): void
    {
        $server = self::server();
        [, $garage] = $server->ask('GET', '/garage');
        [, $log] = $server->ask('GET', '/sessions');
        $holder = new \PDO("sqlite:{$server->database()}");
        $waits = [];
        for ($round = 0, $rounds = Rounds::of(1, 5); $round < $rounds; $round++) {
            $holder->exec('BEGIN IMMEDIATE');
            foreach (['/me', '/board?first=20', '/sessions', "/sessions/{$log['sessions'][0]['id']}", '/garage', '/trust'] as $path) {
                $began = hrtime(true);
                self::assertSame(200, $server->ask('GET', $path)[0], $path);
                $waits[$path] = max($waits[$path] ?? 0, (hrtime(true) - $began) / 1e6);
            }
            [$status, $said] = $server->ask('POST', '/sessions', ['vehicle' => $garage['vehicles'][1]['id'], 'outlet' => $garage['places'][2]['outlets'][2]['id'], 'adapters' => []]);
            self::assertSame([503, 'app.trouble_busy'], [$status, $said['code'] ?? '']);
            $holder->exec('ROLLBACK');
        }
        self::assertCount(count($log['sessions']), $server->ask('GET', '/sessions')[1]['sessions']);
        if (getenv('HARMOZON_ATTACK') === 'long') {
            fwrite(STDERR, sprintf("\nwhile the lock was held, the longest answer took %.0f ms (%s)\n", max($waits), array_search(max($waits), $waits, true)));
        }
        self::assertLessThan(2_500, max($waits), 'nobody waits for the lock, which is waited for five seconds');
    }

    public function test_calls_made_up_from_the_document_are_answered_or_refused(): void
    {
        $server = self::server();
        [, $garage] = $server->ask('GET', '/garage');
        [, $log] = $server->ask('GET', '/sessions');
        $sample = new Sample(['kind' => 'adapters', 'piece' => $garage['adapters'][0]['id'], 'vehicle' => $garage['vehicles'][0]['id'], 'outlet' => $garage['places'][0]['outlets'][0]['id'], 'session' => $log['sessions'][0]['id'], 'id' => $log['sessions'][0]['id'], 'baseline' => $log['sessions'][1]['id']]);
        $junk = [['a'], ['a' => ['b' => 1]], null, [], str_repeat('w', 5_000), "a\0b", 1e300, false, [[[1]]]];
        $random = new Randomizer(new Mt19937(5));
        // Those that would end the round for all others.
        $operations = array_values(array_filter(Sample::operations(), static fn (array $o): bool => ! in_array($o[1], ['/sign-out', '/demo-sign-in', '/me/devices/{device}'], true)));
        $calls = [];
        for ($i = 0, $rounds = Rounds::of(120, 10_000); $i < $rounds; $i++) {
            [$method, $path] = $operations[$random->getInt(0, count($operations) - 1)];
            $body = $sample->body($method, $path);
            $fields = $body === null ? [] : Sample::fields($body);
            if ($fields !== []) {
                \Illuminate\Support\Arr::set($body, $fields[$random->getInt(0, count($fields) - 1)], $junk[$random->getInt(0, count($junk) - 1)]);
            }
            $names = Sample::queryNames($method, $path);
            $query = $names === [] ? '' : '?'.http_build_query([$names[$random->getInt(0, count($names) - 1)] => $junk[$random->getInt(0, count($junk) - 1)]]);
            $calls[] = [$method, $sample->path($path).$query, [self::JSON], $body === null ? '' : (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR)];
            if (count($calls) === 4) {
                foreach ($server->raw($calls) as $n => [$status, $said]) {
                    self::holds($status, $said, implode(' ', [$calls[$n][0], $calls[$n][1], substr($calls[$n][3], 0, 600)]));
                }
                $calls = [];
            }
        }
        self::assertSame([200, 200, 200], array_column($server->together([['GET', '/garage', null], ['GET', '/board', null], ['GET', '/sessions', null]]), 0));
    }

    /** @param  array<string, mixed>  $said */
    private static function holds(int $status, array $said, string $told): void
    {
        self::assertTrue($status >= 200 && ($status < 500 || ($status === 503 && isset($said['code']))), "{$told}: {$status} ".json_encode($said));
        if ($status >= 400) {
            self::assertNotSame('', $said['message'] ?? '', $told);
        }
    }

    private static function png(int $width, int $height, string $rest): string
    {
        $chunk = static fn (string $name, string $data): string => pack('N', strlen($data)).$name.$data.pack('N', crc32($name.$data));

        return "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NN', $width, $height)."\x08\x02\0\0\0").$chunk('IDAT', $rest);
    }

    private static function letters(Randomizer $random, int $count): string
    {
        $of = 'abcdefghijklmnopqrstuvwxyz0123456789.-:[]@%';

        return implode('', array_map(static fn (): string => $of[$random->getInt(0, strlen($of) - 1)], range(1, $count)));
    }

    private function origin(): string
    {
        return "http://127.0.0.1:{$this->port()}";
    }

    private function port(): int
    {
        return self::server()->port();
    }

    private static function server(): Server
    {
        return self::$server ?? throw new \LogicException('it runs');
    }
}
