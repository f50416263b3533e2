<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Times fifty people at once, each sending the requests of a page that is being opened. */
final class CrowdBench
{
    private const PEOPLE = 50;

    private const THINGS = ['/api/me', '/api/garage', '/api/board', '/api/sessions'];

    public static function run(int $each): Message
    {
        $garage = new ServedGarage(isForMany: true);
        $paths = [];
        for ($i = 0; $i < self::PEOPLE * $each; $i++) {
            $paths[] = self::THINGS[$i % count(self::THINGS)];
        }
        // So that every worker has read the application.
        $garage->together(array_slice($paths, 0, self::PEOPLE), self::PEOPLE);
        $seconds = [];
        $all = Timing::once(static function () use ($garage, $paths, &$seconds): void {
            $seconds = $garage->together($paths, self::PEOPLE);
        });
        $waits = Timing::ofSeconds($seconds);

        return Message::of('bench.crowd', people: Amount::count(self::PEOPLE), count: Amount::count(count($seconds)), rate: Timing::whole(count($seconds) / $all), median: $waits->medianMs(), p95: $waits->p95Ms(), most: $waits->mostMs());
    }
}
