<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

/** A session in as many frames as a drawing needs: every second while much happens, then evenly. */
final class Frames
{
    /** Frames of the current, once the ramp is over. */
    private const OF_CURRENT = 200;

    /** Every second is kept until so long after the first current (s). */
    private const AFTER_START_S = 30.0;

    /** Every second is kept for so long after an end of the current, or a change by SUDDEN (s). */
    private const AROUND_S = 5.0;

    /** The power changes at once by this share of the peak. */
    private const SUDDEN = 0.05;

    /** @return list<Instant> in the order of time */
    public static function of(Simulation $simulation): array
    {
        $all = iterator_to_array($simulation->instants(), false);
        $last = count($all) - 1;
        $peakKw = max(0.0, ...array_map(static fn (Instant $i): float => $i->output->kw, $all));
        $startS = null;
        $endS = 0.0;
        foreach ($all as $instant) {
            $startS ??= $instant->output->kw > 0.0 ? $instant->tS : null;
            $endS = $instant->phase->isAfterCurrent() ? $endS : $instant->tS;
        }
        $gapS = max(1.0, ($endS - ($startS ?? 0.0)) / self::OF_CURRENT);
        $kept = [];
        [$keptS, $changedS] = [-INF, -INF];
        foreach ($all as $number => $instant) {
            $changedS = $number > 0 && abs($instant->output->kw - $all[$number - 1]->output->kw) > self::SUDDEN * $peakKw ? $instant->tS : $changedS;
            $isClose = $startS === null || $instant->tS <= $startS + self::AFTER_START_S || $instant->phase->isAfterCurrent() || $instant->tS - $changedS <= self::AROUND_S;
            $isBeforeChange = isset($all[$number + 1]) && abs($all[$number + 1]->output->kw - $instant->output->kw) > self::SUDDEN * $peakKw;
            if ($isClose || $isBeforeChange || $number === $last || $instant->tS >= $keptS + $gapS) {
                $kept[] = $instant;
                $keptS = $instant->tS;
            }
        }

        return $kept;
    }
}
