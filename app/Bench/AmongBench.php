<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * The same people at two sites, one with the demo's rows alone, one where those of five hundred other garages lie among them.
 * The sites are asked in turn, so that a machine that slows down slows both.
 */
final class AmongBench
{
    private const OTHERS = 500;

    private const TURNS = 4;

    /**
     * @param  int  $sessions  of the other garages, each with a thousand readings
     * @param  int  $seconds  of mixing at each site, and of recording
     */
    public static function run(int $sessions, int $people, int $seconds): Message
    {
        $sites = [new ServedGarage(isForMany: true), new ServedGarage(isForMany: true)];
        LogBench::fill($sites[1]->database(), $sessions, self::OTHERS);
        $mixes = array_map(static fn (ServedGarage $site): Mix => new Mix($site->url(), $people), $sites);
        $asked = $recorded = [[], []];
        $wrong = 0;
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            // Each begins as often as the other.
            foreach ($turn % 2 === 0 ? [0, 1] : [1, 0] as $which) {
                [$waits, $missed] = $mixes[$which]->ask($seconds / self::TURNS, Mix::EACH_TURN * $turn);
                [$others, $lost] = $mixes[$which]->record($seconds / self::TURNS, Mix::EACH_TURN * $turn);
                array_push($asked[$which], ...$waits);
                array_push($recorded[$which], ...$others);
                $wrong += $missed + $lost;
            }
        }
        [$alone, $among] = array_map(Timing::ofSeconds(...), $asked);
        [$recordedAlone, $recordedAmong] = array_map(Timing::ofSeconds(...), $recorded);

        return Message::of(
            'bench.among', people: Amount::count($people), garages: Amount::count(self::OTHERS), readings: Amount::count($sessions * LogBench::READINGS_EACH), wrong: Amount::count($wrong),
            alone: $alone->medianMs(), among: $among->medianMs(), median_times: Timing::times($among->median(), $alone->median()),
            alone_p95: $alone->p95Ms(), among_p95: $among->p95Ms(), p95_times: Timing::times($among->p95(), $alone->p95()),
            recorded_times: Timing::times($recordedAmong->median(), $recordedAlone->median()), recorded_p95_times: Timing::times($recordedAmong->p95(), $recordedAlone->p95()),
        );
    }
}
