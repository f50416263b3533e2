<?php

declare(strict_types=1);

namespace App\Bench;

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Promise\PromiseInterface;
use Psr\Http\Message\ResponseInterface;

/** People who are signed in at a site, each in a browser and at a session of their own. */
final class Crowd
{
    private const TIMEOUT_S = 60;

    /** A tick of the network when nothing is due (µs). */
    private const IDLE_US = 500;

    private readonly CurlMultiHandler $network;

    /** @var list<array{client: Client, proof: array<string, string>, session: string}> */
    private array $people = [];

    /** @var array{vehicle: string, outlet: string, adapters: list<string>} */
    private array $chain;

    public function __construct(private readonly string $url, int $count, private readonly string $email, private readonly string $password)
    {
        $this->network = new CurlMultiHandler;
        for ($i = 0; $i < $count; $i++) {
            $this->people[] = $this->person();
        }
    }

    /**
     * Asks at a steady rate, whether earlier questions are answered or not. A wait counts from when a question was due, so that
     * a site that is slow is not asked less.
     *
     * @param  \Closure(int, int): array{string, string, array<string, mixed>|null}  $question  method, path and body of the n-th question of a person
     * @return array{list<float>, int} how long each waited (s), and how many were answered wrongly or not at all
     */
    public function ask(float $perSecond, float $seconds, \Closure $question): array
    {
        $waits = [];
        $wrong = $open = 0;
        $startedAt = microtime(true);
        $due = (int) round($perSecond * $seconds);
        for ($n = 0; $n < $due || $open > 0;) {
            $dueAt = $startedAt + $n / $perSecond;
            if ($n < $due && microtime(true) >= $dueAt) {
                $open++;
                $this->send($n, $question)->then(
                    static function (ResponseInterface $answer) use (&$waits, &$wrong, &$open, $dueAt): void {
                        $waits[] = microtime(true) - $dueAt;
                        $wrong += $answer->getStatusCode() < 300 ? 0 : 1;
                        $open--;
                    },
                    static function () use (&$wrong, &$open): void {
                        $wrong++;
                        $open--;
                    },
                );
                $n++;
            } elseif ($open === 0) {
                usleep(self::IDLE_US);
            }
            $this->network->tick();
        }

        return [$waits, $wrong];
    }

    /** The session that a person is at. */
    public function session(int $person): string
    {
        return $this->people[$person]['session'];
    }

    /** @return array{vehicle: string, outlet: string, adapters: list<string>} that their sessions are on */
    public function chain(): array
    {
        return $this->chain;
    }

    private function send(int $n, \Closure $question): PromiseInterface
    {
        $who = $n % count($this->people);
        [$method, $path, $body] = $question($who, intdiv($n, count($this->people)));

        return $this->people[$who]['client']->requestAsync($method, $path, [...($body === null ? [] : ['json' => $body]), 'headers' => $this->people[$who]['proof']]);
    }

    /** @return array{client: Client, proof: array<string, string>, session: string} */
    private function person(): array
    {
        $jar = new CookieJar;
        $client = new Client(['base_uri' => $this->url, 'cookies' => $jar, 'verify' => false, 'timeout' => self::TIMEOUT_S, 'http_errors' => false, 'handler' => HandlerStack::create($this->network), 'headers' => ['Accept' => 'application/json']]);
        $client->get('/sign-in');
        $client->post('/api/sign-in', ['json' => ['email' => $this->email, 'password' => $this->password], 'headers' => $this->proof($jar)]);
        /** @var array{sessions?: list<array{verdict: string|null, vehicle: array{id: string}, outlet: array{id: string}, adapters: list<array{id: string}>}>} $log */
        $log = json_decode((string) $client->get('/api/sessions')->getBody(), true);
        $one = array_values(array_filter($log['sessions'] ?? [], static fn (array $s): bool => $s['verdict'] === 'passed' && $s['adapters'] !== []))[0] ?? throw new \RuntimeException('the demo is not let in there, or has no session with an adapter');
        $this->chain = ['vehicle' => $one['vehicle']['id'], 'outlet' => $one['outlet']['id'], 'adapters' => array_column($one['adapters'], 'id')];
        $begun = json_decode((string) $client->post('/api/sessions', ['json' => $this->chain, 'headers' => $this->proof($jar)])->getBody(), true);
        $id = is_array($begun) ? $begun['session']['id'] ?? null : null;

        return ['client' => $client, 'proof' => $this->proof($jar), 'session' => is_string($id) ? $id : throw new \RuntimeException('no session began')];
    }

    /** @return array<string, string> that a request comes from the page */
    private function proof(CookieJar $jar): array
    {
        return ['X-XSRF-TOKEN' => urldecode((string) $jar->getCookieByName('XSRF-TOKEN')?->getValue()), 'Origin' => rtrim($this->url, '/')];
    }
}
