<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * People at a site for a while: mixing board, log, forecasts, reports and readings, then sending readings alone; and mixing again while a large file comes
 * in. With and without the file they are asked in turn, so that a machine that slows down slows both.
 */
final class LoadBench
{
    /** Of the file that comes in beside them: a million in twenty seconds, which is faster than it is taken. */
    private const ROWS_A_SECOND = 50_000;

    /** Of a shorter turn, starting the worker would be the larger part (s). */
    private const SHORTEST_TURN_S = 5;

    /**
     * @param  string|null  $site  the address of one that is served and has the demo's garage; a server of its own without it
     * @return list<Message>
     */
    public static function run(?string $site, int $people, int $seconds): array
    {
        $garage = $site === null ? new ServedGarage(isForMany: true) : null;
        $mix = new Mix($garage?->url() ?? (string) $site, $people);
        $turns = max(1, intdiv($seconds, self::SHORTEST_TURN_S));
        $alone = $beside = [[], 0];
        for ($turn = 0; $turn < $turns; $turn++) {
            $alone = self::with($alone, $mix->ask($seconds / $turns, 2 * $turn * Mix::EACH_TURN));
            if ($garage !== null) {
                $beside = self::with($beside, self::beside($garage, $mix, $seconds / $turns, (2 * $turn + 1) * Mix::EACH_TURN));
            }
        }

        return [self::mix($alone, $people), self::readings($mix->record($seconds, 2 * $turns * Mix::EACH_TURN)), ...($garage === null ? [] : [self::times($beside, $alone, self::ROWS_A_SECOND * $seconds)])];
    }

    /**
     * The mix while a large readings file comes in.
     *
     * @return array{list<float>, int} as Mix::ask
     */
    private static function beside(ServedGarage $garage, Mix $mix, float $seconds, int $later): array
    {
        Readings::write($path = $garage->file('readings.csv'), (int) (self::ROWS_A_SECOND * $seconds));
        $file = $garage->readingsFile($garage->session(), $path);
        try {
            $garage->send('POST', "/api/imports/{$file}/start");
            $worker = $garage->worker();
            $found = $mix->ask($seconds, $later);
            $worker->wait();
        } finally {
            $garage->send('DELETE', "/api/imports/{$file}");
        }

        return $found;
    }

    /**
     * @param  array{list<float>, int}  $before
     * @param  array{list<float>, int}  $found
     * @return array{list<float>, int}
     */
    private static function with(array $before, array $found): array
    {
        return [[...$before[0], ...$found[0]], $before[1] + $found[1]];
    }

    /**
     * @param  array{list<float>, int}  $beside
     * @param  array{list<float>, int}  $alone
     */
    private static function times(array $beside, array $alone, int $rows): Message
    {
        $timing = Timing::ofSeconds($beside[0]);

        return Message::of('bench.load_beside', rows: Amount::count($rows), beside_wrong: Amount::count($beside[1]), beside_median: $timing->medianMs(), beside: Timing::times($timing->median(), Timing::ofSeconds($alone[0])->median()), beside_p95: $timing->p95Ms());
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
