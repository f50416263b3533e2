<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** People at a site for a while: first mixing board, log, forecasts, reports and readings, then sending readings alone. */
final class LoadBench
{
    /** Of the file that comes in beside them: a million in twenty seconds, which is faster than it is taken. */
    private const ROWS_A_SECOND = 50_000;

    /** Readings after those of the first round. */
    private const LATER = 100_000;

    /**
     * @param  string|null  $site  the address of one that is served and has the demo's garage; a server of its own without it
     * @return list<Message>
     */
    public static function run(?string $site, int $people, int $seconds): array
    {
        $garage = $site === null ? new ServedGarage(isForMany: true) : null;
        $mix = new Mix($garage?->url() ?? (string) $site, $people);
        $asked = $mix->ask($seconds);
        $recorded = $mix->record($seconds);

        return [self::mix($asked, $people), self::readings($recorded), ...($garage === null ? [] : [self::beside($garage, $mix, $seconds, Timing::ofSeconds($asked[0]))])];
    }

    /** The mix again, while a large readings file comes in; how many times as long the median is then. */
    private static function beside(ServedGarage $garage, Mix $mix, int $seconds, Timing $alone): Message
    {
        $rows = self::ROWS_A_SECOND * $seconds;
        Readings::write($path = $garage->file('readings.csv'), $rows);
        $file = $garage->readingsFile($garage->session(), $path);
        try {
            $garage->send('POST', "/api/imports/{$file}/start");
            $worker = $garage->worker();
            [$waits, $wrong] = $mix->ask($seconds, self::LATER);
            $worker->wait();
        } finally {
            $garage->send('DELETE', "/api/imports/{$file}");
        }
        $timing = Timing::ofSeconds($waits);

        return Message::of('bench.load_beside', rows: Amount::count($rows), beside_wrong: Amount::count($wrong), beside_median: $timing->medianMs(), beside: Timing::times($timing->median(), $alone->median()), beside_p95: $timing->p95Ms());
    }

    /** @param  array{list<float>, int}  $found */
    private static function mix(array $found, int $people): Message
    {
        $timing = Timing::ofSeconds($found[0]);

        return Message::of('bench.load_mix', people: Amount::count($people), rate: Amount::count(Mix::PER_SECOND), count: Amount::count(count($found[0])), wrong: Amount::count($found[1]), median: $timing->medianMs(), p95: $timing->p95Ms(), most: $timing->mostMs());
    }

    /** @param  array{list<float>, int}  $found */
    private static function readings(array $found): Message
    {
        $timing = Timing::ofSeconds($found[0]);

        return Message::of('bench.load_readings', rate: Amount::count(Mix::READINGS_PER_SECOND), count: Amount::count(count($found[0])), lost: Amount::count($found[1]), median: $timing->medianMs(), acknowledged: $timing->p95Ms(), most: $timing->mostMs());
    }
}
