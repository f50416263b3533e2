<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Support\Str;

/** What people ask of a site for a while: board, log, forecasts, reports and readings, mixed; or readings alone. */
final readonly class Mix
{
    public const PEOPLE = 50;

    /** Requests a second; what fifty people do who press something every one and a quarter seconds. */
    public const PER_SECOND = 40;

    /** Readings a second, four with each request. */
    public const READINGS_PER_SECOND = 200;

    /** Readings that a session has had before each of several turns, at least: more than one turn sends. */
    public const EACH_TURN = 2_000;

    private const READINGS_AT_ONCE = 4;

    /** Readings alone come after those of the mix. */
    private const ALONE = 1_000;

    private Crowd $crowd;

    public function __construct(string $url, int $people)
    {
        $this->crowd = new Crowd($url, $people, (string) config('harmozon.demo_email'), (string) config('harmozon.demo_password'));
    }

    /**
     * @param  int  $later  readings that each session has had before, at least
     * @return array{list<float>, int} how long each waited (s), and how many were answered wrongly or not at all
     */
    public function ask(float $seconds, int $later = 0): array
    {
        return $this->crowd->ask(self::PER_SECOND, $seconds, fn (int $who, int $nth): array => $this->question($who, $later + $nth));
    }

    /**
     * @param  int  $later  readings that each session has had before, at least
     * @return array{list<float>, int} as above
     */
    public function record(float $seconds, int $later = 0): array
    {
        return $this->crowd->ask(self::READINGS_PER_SECOND / self::READINGS_AT_ONCE, $seconds, fn (int $who, int $nth): array => [
            'POST', "/api/sessions/{$this->crowd->session($who)}/readings", ['readings' => array_map(static fn (int $i): array => self::reading($later + self::ALONE + self::READINGS_AT_ONCE * $nth + $i), range(0, self::READINGS_AT_ONCE - 1))],
        ]);
    }

    /** @return array{string, string, array<string, mixed>|null} */
    private function question(int $who, int $nth): array
    {
        $chain = $this->crowd->chain();

        return match (($who + $nth) % 6) {
            0 => ['GET', '/api/board', null],
            1 => ['POST', '/api/forecast', ['chains' => [['outlet' => $chain['outlet'], 'vehicle' => $chain['vehicle'], 'adapters' => $chain['adapters'], 'exact' => true]]]],
            2 => ['GET', '/api/sessions', null],
            3 => ['POST', "/api/sessions/{$this->crowd->session($who)}/readings", ['readings' => [self::reading($nth)]]],
            4 => ['GET', "/api/sessions/{$this->crowd->session($who)}", null],
            default => ['GET', '/api/garage', null],
        };
    }

    /** @return array<string, float|int|string> */
    private static function reading(int $nth): array
    {
        return ['client_id' => (string) Str::ulid(), 't_s' => 5 * $nth, 'volts' => 310.5, 'amps' => 280, 'kw' => 86.9, 'soc_pct' => min(80, 20 + $nth / 20)];
    }
}
