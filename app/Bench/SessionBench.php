<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Str;

/** One more reading in a long session, and its report, over HTTP; beside a request that asks for next to nothing. */
final class SessionBench
{
    /** @return list<Message> */
    public static function run(int $rows, int $runs): array
    {
        $garage = new ServedGarage;
        $session = $garage->session();
        Readings::write($file = $garage->file('readings.csv'), $rows);
        $garage->send('POST', '/api/imports/'.($import = $garage->readingsFile($session, $file)).'/start');
        $worker = $garage->worker();
        $garage->waitFor($import, 'state', 'done');
        $garage->waitFor($import, 'is_judged', true);
        $worker->wait();
        $held = $garage->send('GET', "/api/imports/{$import}");
        $bare = Timing::of($runs, static fn (): string => $garage->get('/api/me'));
        $reading = Timing::of($runs, static fn (int $run): array => $garage->send('POST', "/api/sessions/{$session}/readings", ['json' => ['readings' => [
            ['client_id' => Str::ulid()->toBase32(), 't_s' => $rows + 10 * $run, 'soc_pct' => 80.0, 'volts' => 360.0, 'amps' => 120.0 + $run / 10, 'kw' => 43.2],
        ]]]));
        $report = Timing::of($runs, static fn (): string => $garage->get("/api/sessions/{$session}"));

        return [
            Message::of('bench.reading', median: $reading->medianMs(), p95: $reading->p95Ms(), most: $reading->mostMs(), rows: Amount::count(is_int($held['added'] ?? null) ? $held['added'] : 0), count: Amount::count($runs)),
            Message::of('bench.report', median: $report->medianMs(), p95: $report->p95Ms(), most: $report->mostMs(), count: Amount::count($runs)),
            Message::of('bench.bare', median: $bare->medianMs(), p95: $bare->p95Ms(), most: $bare->mostMs()),
        ];
    }
}
