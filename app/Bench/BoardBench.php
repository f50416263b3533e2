<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Times windows of a large board over HTTP, anywhere on it, each requested for the first time. */
final class BoardBench
{
    private const ROWS_IN_VIEW = 25;

    public static function run(int $windows): Message
    {
        $garage = new ServedGarage(isLarge: true);
        $outlets = $garage->outlets();
        mt_srand(1);
        $timing = Timing::of($windows, static function () use ($garage, $outlets): void {
            $ids = implode(',', array_slice($outlets, mt_rand(0, count($outlets) - self::ROWS_IN_VIEW), self::ROWS_IN_VIEW));
            $garage->get("/api/board?outlets={$ids}");
        });

        return Message::of(
            'bench.served', median: $timing->medianMs(), p95: $timing->p95Ms(), most: $timing->mostMs(), outlets: Amount::count(count($outlets)), rows: Amount::count(self::ROWS_IN_VIEW), windows: Amount::count($windows),
            first: Timing::ms(Timing::once(static fn (): string => $garage->get('/api/board?first='.self::ROWS_IN_VIEW))),
            names: Timing::ms(Timing::once(static fn (): string => $garage->get('/api/garage'))),
        );
    }
}
