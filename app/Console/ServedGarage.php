<?php

declare(strict_types=1);

namespace App\Console;

use App\Equipment\ShippedKinds;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Harmozon\Core\Files\CaseReader;
use Symfony\Component\Process\Process;

/**
 * A large garage behind a server of its own, with a database that is gone afterwards: the demo garage, filled up with cars,
 * adapters and outlets of the shipped kinds.
 */
final class ServedGarage
{
    private const CARS = 12;

    private const OUTLETS = 2000;

    private const ADAPTERS = 40;

    private const OUTLETS_A_PLACE = 8;

    private const USER = 'marionette@lanternfish.example';

    private readonly string $folder;

    private readonly int $port;

    private ?Process $server = null;

    private readonly Client $client;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/harmozon-bench-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        touch("{$this->folder}/bench.sqlite");
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new \RuntimeException('no free port');
        }
        $this->port = (int) preg_replace('/^.*:/', '', (string) stream_socket_get_name($socket, false));
        fclose($socket);
        $this->client = new Client(['base_uri' => "http://127.0.0.1:{$this->port}", 'cookies' => new CookieJar, 'headers' => ['Accept' => 'application/json']]);
        $file = "{$this->folder}/garage.json";
        file_put_contents($file, json_encode(self::document(), JSON_THROW_ON_ERROR));
        foreach ([['migrate', '--force'], ['harmozon:demo'], ['harmozon:import', $file, '--user='.self::USER]] as $command) {
            $this->process('php', 'artisan', ...$command)->mustRun();
        }
        $this->serve();
    }

    public function __destruct()
    {
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

    public function get(string $path): string
    {
        return (string) $this->client->get($path)->getBody();
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
        $jar = $this->client->getConfig('cookies');
        $token = $jar instanceof CookieJar ? $jar->getCookieByName('XSRF-TOKEN')?->getValue() : null;
        $this->client->post('/api/demo-sign-in', ['headers' => ['X-XSRF-TOKEN' => urldecode((string) $token), 'Origin' => "http://127.0.0.1:{$this->port}"]]);
    }

    private function process(string ...$command): Process
    {
        $process = new Process(array_values($command), base_path(), [
            'APP_ENV' => 'testing', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'APP_DEBUG' => 'false', 'HARMOZON_DEMO' => 'true', 'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'array',
            'DB_DATABASE' => "{$this->folder}/bench.sqlite", 'PHP_INI_SCAN_DIR' => ':'.base_path('config/php'), 'PHP_CLI_SERVER_WORKERS' => '4',
        ]);

        return $process->setTimeout(300);
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
