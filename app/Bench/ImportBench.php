<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** Times a readings file imported in the background, and SQLite's own import of the same file into a bare table. */
final class ImportBench
{
    private const TURNS = 3;

    /** @return list<Message> */
    public static function run(int $rows): array
    {
        $garage = new ServedGarage;
        Readings::write($path = $garage->file('readings.csv'), $rows);
        $file = $garage->readingsFile($garage->session(), $path);
        try {
            $garage->send('POST', "/api/imports/{$file}/start");
            $worker = $garage->worker();
            $taken = Timing::once(static fn (): bool => $garage->waitFor($file, 'state', 'done'));
            $judged = $taken + Timing::once(static fn (): bool => $garage->waitFor($file, 'is_judged', true));
            $worker->wait();
            if (($garage->send('GET', "/api/imports/{$file}")['added'] ?? null) !== $rows) {
                throw new \RuntimeException('the file was not taken whole');
            }
        } finally {
            $garage->send('DELETE', "/api/imports/{$file}");
        }
        $bare = self::bare($path, $garage);

        return [
            Message::of('bench.taken', rows: Amount::count($rows), seconds: Timing::tenths($taken), judged: Timing::tenths($judged), rate: Timing::whole($rows / $taken)),
            $bare === null ? Message::of('bench.no_sqlite3') : Message::of('bench.beside_sqlite3', seconds: Timing::tenths($bare), times: Timing::times($taken, $bare)),
        ];
    }

    /** Null where the command is not installed. */
    private static function bare(string $path, ServedGarage $garage): ?float
    {
        $sqlite3 = (new ExecutableFinder)->find('sqlite3');

        return $sqlite3 === null ? null : Timing::of(self::TURNS, static fn (int $turn) => (new Process([$sqlite3, $garage->file("bare{$turn}.sqlite"), '-cmd', '.mode csv', implode(' ', ['.import', $path, 'readings'])]))->setTimeout(null)->mustRun())->least();
    }
}
