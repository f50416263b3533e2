<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Str;

/** Fifty people at a site for a while: first mixing board, log, forecasts, reports and readings, then sending readings alone. */
final class LoadBench
{
    private const PEOPLE = 50;

    /** Requests a second of the mix; what fifty people do who press something every one and a quarter seconds. */
    private const MIX_PER_SECOND = 40;

    /** Readings a second, four with each request. */
    private const READINGS_PER_SECOND = 200;

    private const READINGS_AT_ONCE = 4;

    /** Of the file that comes in beside them: a million in twenty seconds, which is faster than it is taken. */
    private const ROWS_A_SECOND = 50_000;

    /** Readings after those of the first round. */
    private const LATER = 100_000;

    /** Garages whose sessions lie in the same tables. */
    private const OTHERS = 500;

    /**
     * @param  string|null  $site  the address of one that is served and has the demo's garage; a server of its own without it
     * @param  int  $sessions  of five hundred other garages, each session with a thousand readings
     * @return list<Message>
     */
    public static function run(?string $site, int $seconds, int $sessions): array
    {
        $garage = $site === null ? new ServedGarage(isForMany: true) : null;
        if ($garage !== null && $sessions > 0) {
            LogBench::fill($garage->database(), $sessions, self::OTHERS);
        }
        $crowd = new Crowd($garage?->url() ?? (string) $site, self::PEOPLE, (string) config('harmozon.demo_email'), (string) config('harmozon.demo_password'));
        $mix = $crowd->ask(self::MIX_PER_SECOND, $seconds, static fn (int $who, int $nth): array => self::ofTheMix($crowd, $who, $nth));
        $readings = $crowd->ask(self::READINGS_PER_SECOND / self::READINGS_AT_ONCE, $seconds, static fn (int $who, int $nth): array => [
            'POST', "/api/sessions/{$crowd->session($who)}/readings", ['readings' => array_map(static fn (int $i): array => self::reading(1000 + self::READINGS_AT_ONCE * $nth + $i), range(0, self::READINGS_AT_ONCE - 1))],
        ]);

        return [self::mix($mix), self::readings($readings), ...($garage === null ? [] : [self::beside($garage, $crowd, $seconds, self::timing($mix[0]))])];
    }

    /** The mix again, while a large readings file comes in; how many times as long the median is then. */
    private static function beside(ServedGarage $garage, Crowd $crowd, int $seconds, Timing $alone): Message
    {
        $rows = self::ROWS_A_SECOND * $seconds;
        Readings::write($path = $garage->file('readings.csv'), $rows);
        $file = $garage->readingsFile($garage->session(), $path);
        try {
            $garage->send('POST', "/api/imports/{$file}/start");
            $worker = $garage->worker();
            [$waits, $wrong] = $crowd->ask(self::MIX_PER_SECOND, $seconds, static fn (int $who, int $nth): array => self::ofTheMix($crowd, $who, self::LATER + $nth));
            $worker->wait();
        } finally {
            $garage->send('DELETE', "/api/imports/{$file}");
        }
        $timing = self::timing($waits);

        return Message::of('bench.load_beside', rows: Amount::count($rows), beside_wrong: Amount::count($wrong), beside_median: $timing->medianMs(), beside: Timing::tenths($timing->median() / $alone->median()), beside_p95: $timing->p95Ms());
    }

    /** @return array{string, string, array<string, mixed>|null} */
    private static function ofTheMix(Crowd $crowd, int $who, int $nth): array
    {
        $chain = $crowd->chain();

        return match (($who + $nth) % 6) {
            0 => ['GET', '/api/board', null],
            1 => ['POST', '/api/forecast', ['chains' => [['outlet' => $chain['outlet'], 'vehicle' => $chain['vehicle'], 'adapters' => $chain['adapters'], 'exact' => true]]]],
            2 => ['GET', '/api/sessions', null],
            3 => ['POST', "/api/sessions/{$crowd->session($who)}/readings", ['readings' => [self::reading($nth)]]],
            4 => ['GET', "/api/sessions/{$crowd->session($who)}", null],
            default => ['GET', '/api/garage', null],
        };
    }

    /** @return array<string, float|int|string> */
    private static function reading(int $nth): array
    {
        return ['client_id' => (string) Str::ulid(), 't_s' => 5 * $nth, 'volts' => 310.5, 'amps' => 280, 'kw' => 86.9, 'soc_pct' => min(80, 20 + $nth / 20)];
    }

    /** @param  array{list<float>, int}  $found */
    private static function mix(array $found): Message
    {
        $timing = self::timing($found[0]);

        return Message::of('bench.load_mix', people: Amount::count(self::PEOPLE), rate: Amount::count(self::MIX_PER_SECOND), count: Amount::count(count($found[0])), wrong: Amount::count($found[1]), median: $timing->medianMs(), p95: $timing->p95Ms(), most: $timing->mostMs());
    }

    /** @param  array{list<float>, int}  $found */
    private static function readings(array $found): Message
    {
        $timing = self::timing($found[0]);

        return Message::of('bench.load_readings', rate: Amount::count(self::READINGS_PER_SECOND), count: Amount::count(count($found[0])), lost: Amount::count($found[1]), median: $timing->medianMs(), acknowledged: $timing->p95Ms(), most: $timing->mostMs());
    }

    /** @param  list<float>  $waits  s */
    private static function timing(array $waits): Timing
    {
        return Timing::ofSeconds($waits === [] ? throw new \RuntimeException('nobody was answered') : $waits);
    }
}
