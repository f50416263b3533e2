<?php

declare(strict_types=1);

namespace App\Bench;

use App\Equipment\ShippedKinds;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Pool;
use GuzzleHttp\Promise\PromiseInterface;
use GuzzleHttp\TransferStats;
use Harmozon\Core\Case\CaseReader;
use Symfony\Component\Process\Process;

/**
 * The demo garage behind a server of its own with a temporary database; on request a large one, filled up with cars,
 * adapters and outlets of the shipped kinds.
 */
final class ServedGarage
{
    private const CARS = 12;

    private const OUTLETS = 2000;

    private const ADAPTERS = 40;

    private const OUTLETS_A_PLACE = 8;

    /** Bytes of a file sent in one request. */
    private const PIECE = 4_000_000;

    private const USER = 'marionette@lanternfish.example';

    private readonly string $folder;

    private readonly int $port;

    private ?Process $server = null;

    private readonly Client $client;

    /** @param  bool  $isForMany  answers several at once, as build/serve.sh does */
    public function __construct(bool $isLarge = false, private readonly bool $isForMany = false)
    {
        $this->folder = sys_get_temp_dir().'/harmozon-bench-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new \RuntimeException('no free port');
        }
        $this->port = (int) preg_replace('/^.*:/', '', (string) stream_socket_get_name($socket, false));
        fclose($socket);
        $this->client = new Client(['base_uri' => "http://127.0.0.1:{$this->port}", 'cookies' => new CookieJar, 'headers' => ['Accept' => 'application/json']]);
        $this->fill();
        if ($isLarge) {
            file_put_contents($file = "{$this->folder}/garage.json", json_encode(self::document(), JSON_THROW_ON_ERROR));
            $this->artisan('harmozon:import', $file, '--user='.self::USER);
        }
        foreach (['config', 'route', 'event'] as $list) {
            $this->artisan("{$list}:cache");
        }
        $this->serve();
    }

    public function __destruct()
    {
        // PHP's server leaves those behind that it has begun.
        $server = $this->server?->getPid();
        if ($server !== null) {
            (new Process(['pkill', '-TERM', '-P', (string) $server]))->run();
        }
        $this->server?->stop(0.2);
        foreach (new \FilesystemIterator($this->folder) as $left) {
            unlink((string) $left);
        }
        rmdir($this->folder);
    }

    /** @return list<string> ids of the outlets, place by place, as the board shows them */
    public function outlets(): array
    {
        /** @var array{places: list<array{outlets: list<array{id: string}>}>} $garage */
        $garage = json_decode($this->get('/api/garage'), true, flags: JSON_THROW_ON_ERROR);

        return array_merge(...array_map(static fn (array $place): array => array_column($place['outlets'], 'id'), $garage['places']));
    }

    public function url(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    public function get(string $path): string
    {
        return (string) $this->client->get($path)->getBody();
    }

    /**
     * Sends each request as soon as an earlier one is answered.
     *
     * @param  list<string>  $paths
     * @return list<float> how long each waited (s)
     */
    public function together(array $paths, int $atOnce): array
    {
        $seconds = [];
        $asked = function () use ($paths, &$seconds): \Generator {
            foreach ($paths as $path) {
                yield function () use ($path, &$seconds): PromiseInterface {
                    return $this->client->getAsync($path, ['on_stats' => static function (TransferStats $stats) use (&$seconds): void {
                        $seconds[] = (float) $stats->getTransferTime();
                    }]);
                };
            }
        };
        (new Pool($this->client, $asked(), ['concurrency' => $atOnce, 'rejected' => static fn (\Throwable $why) => throw $why]))->promise()->wait();

        return $seconds;
    }

    /**
     * @param  array<string, mixed>  $options  as Guzzle takes them
     * @return array<string, mixed>
     */
    public function send(string $method, string $path, array $options = []): array
    {
        $told = json_decode((string) $this->client->request($method, $path, ['headers' => $this->proof(), ...$options])->getBody(), true);

        return is_array($told) ? $told : [];
    }

    /** Starts a session on a chain that the demo has charged on. */
    public function session(): string
    {
        /** @var array{sessions: list<array{id: string, verdict: string, vehicle: array{id: string}, outlet: array{id: string}, adapters: list<array{id: string}>}>} $log */
        $log = json_decode($this->get('/api/sessions'), true, flags: JSON_THROW_ON_ERROR);
        $one = array_values(array_filter($log['sessions'], static fn (array $s): bool => $s['verdict'] === 'passed' && $s['adapters'] !== []))[0] ?? throw new \RuntimeException('the demo has no session with an adapter');
        $id = $this->send('POST', '/api/sessions', ['json' => ['vehicle' => $one['vehicle']['id'], 'outlet' => $one['outlet']['id'], 'adapters' => array_column($one['adapters'], 'id')]])['session']['id'] ?? null;

        return is_string($id) ? $id : throw new \RuntimeException('no session began');
    }

    /** Sends a readings file, piece by piece, for a session. @return string the id of its import */
    public function readingsFile(string $session, string $path): string
    {
        $bytes = (int) filesize($path);
        $file = $this->send('POST', "/api/sessions/{$session}/imports", ['json' => ['name' => 'readings.csv', 'bytes' => $bytes]])['id'] ?? null;
        if (! is_string($file)) {
            throw new \RuntimeException('the import did not begin');
        }
        for ($from = 0; $from < $bytes; $from += self::PIECE) {
            $this->send('PUT', "/api/imports/{$file}/piece?from={$from}", ['body' => (string) file_get_contents($path, false, null, $from, self::PIECE), 'headers' => [...$this->proof(), 'Content-Type' => 'application/octet-stream']]);
        }

        return $file;
    }

    /** Waits until the import has this state. */
    public function waitFor(string $file, string $what, string|bool $is): bool
    {
        while (true) {
            $import = $this->send('GET', "/api/imports/{$file}");
            if (($import['state'] ?? null) === 'failed') {
                throw new \RuntimeException(is_string($import['problem'] ?? null) ? $import['problem'] : 'the file was not taken');
            }
            if (($import[$what] ?? null) === $is) {
                return true;
            }
            usleep(100_000);
        }
    }

    /** Runs an artisan command on the server's database. */
    public function artisan(string ...$command): void
    {
        $this->process('php', 'artisan', ...$command)->mustRun();
    }

    /** Runs the background worker, as build/work.sh does. */
    public function worker(): Process
    {
        $worker = $this->process('build/work.sh', '--until-empty');
        $worker->disableOutput()->start();

        return $worker;
    }

    public function database(): \PDO
    {
        return new \PDO("sqlite:{$this->folder}/bench.sqlite", options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
    }

    /** Temporary files of a measurement; deleted with it. */
    public function file(string $name): string
    {
        return "{$this->folder}/{$name}";
    }

    /** @return array<string, string> that a request comes from the page */
    private function proof(): array
    {
        $jar = $this->client->getConfig('cookies');
        $token = $jar instanceof CookieJar ? $jar->getCookieByName('XSRF-TOKEN')?->getValue() : null;

        return ['X-XSRF-TOKEN' => urldecode((string) $token), 'Origin' => "http://127.0.0.1:{$this->port}", 'Accept' => 'application/json'];
    }

    /** With the demo: loaded here, or copied from a database that has it already (HARMOZON_BENCH_DATABASE). */
    private function fill(): void
    {
        $loaded = (string) getenv('HARMOZON_BENCH_DATABASE');
        if ($loaded !== '') {
            copy($loaded, "{$this->folder}/bench.sqlite");

            return;
        }
        touch("{$this->folder}/bench.sqlite");
        $this->artisan('migrate', '--force');
        $this->artisan('harmozon:demo');
    }

    private function serve(): void
    {
        $this->server = $this->process('php', '-S', "127.0.0.1:{$this->port}", 'server.php');
        $this->server->setTimeout(null)->disableOutput()->start();
        for ($try = 0; @fsockopen('127.0.0.1', $this->port) === false; $try++) {
            $try < 200 || throw new \RuntimeException('the server does not answer');
            usleep(25_000);
        }
        $this->client->get('/sign-in');
        $this->send('POST', '/api/demo-sign-in');
    }

    private function process(string ...$command): Process
    {
        $process = new Process(array_values($command), base_path(), [
            // As build/serve.sh has them.
            'APP_CONFIG_CACHE' => "{$this->folder}/config.php", 'APP_ROUTES_CACHE' => "{$this->folder}/routes.php", 'APP_EVENTS_CACHE' => "{$this->folder}/events.php",
            'APP_ENV' => 'testing', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'APP_DEBUG' => 'false', 'HARMOZON_DEMO' => 'true', 'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'array', 'COUNTERS_STORE' => 'array',
            'DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => "{$this->folder}/bench.sqlite", 'PHP_INI_SCAN_DIR' => ':'.base_path('config/php'),
            ...($this->isForMany ? ['PHP_CLI_SERVER_WORKERS' => '4'] : []),
        ]);

        return $process->setTimeout(1800);
    }

    /** @return array<string, mixed> what the demo garage lacks of a large one */
    private static function document(): array
    {
        /** @var array{vehicles: list<array{spec: array<string, mixed>}>, adapters: list<mixed>, places: list<array{outlets: list<mixed>}>} $demo */
        $demo = json_decode((string) file_get_contents(database_path('demo/lanternfish.json')), true, flags: JSON_THROW_ON_ERROR);
        [$chargers, $adapters] = [ShippedKinds::chargers(), ShippedKinds::adapters()];
        $own = array_sum(array_map(static fn (array $p): int => count($p['outlets']), $demo['places']));
        $sound = ['certification' => 'certified', 'recalled' => false, 'damaged' => false];
        $some = static fn (string $of, int $count): array => $count < 1 ? [] : array_map(static fn (int $i): string => "{$of}{$i}", range(1, $count));
        $at = static fn (array $list, int $i): mixed => $list[$i % count($list)];
        $places = $some('place', (int) ceil((self::OUTLETS - $own) / self::OUTLETS_A_PLACE));

        return [
            'format' => CaseReader::GARAGE_FORMAT, 'version' => CaseReader::NEWEST_GARAGE,
            'vehicles' => array_map(static fn (string $id, int $i): array => [...$at($demo['vehicles'], $i)['spec'], 'id' => $id, 'name' => $id], $ids = $some('car', self::CARS - count($demo['vehicles'])), array_keys($ids)),
            'adapters' => array_map(static fn (string $id, int $i): array => [...$at($adapters, $i)['adapter'], ...$sound, 'id' => $id, 'name' => $id, 'tag' => "B{$i}"], $ids = $some('adapter', self::ADAPTERS - count($demo['adapters'])), array_keys($ids)),
            'places' => array_map(static fn (string $id): array => ['id' => $id, 'name' => $id], $places),
            'outlets' => array_map(
                static fn (string $id, int $i): array => [...$at($chargers, $i)['outlet'], 'id' => $id, 'name' => $id, 'place' => $places[intdiv($i, self::OUTLETS_A_PLACE)]],
                $ids = $some('outlet', self::OUTLETS - $own), array_keys($ids),
            ),
        ];
    }
}
