<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** Cuts a session where its power, its amps, or its share of the expected power change their level. */
final class Cutter
{
    /** A change by this share of the level is one, when it lasts for so many readings and so long (s). */
    private const CHANGE = 0.08;

    private const LASTS_READINGS = 3;

    private const LASTS_S = 60.0;

    /** The level is the median of so many moments at the beginning of a stretch. */
    private const LEVEL_MOMENTS = 9;

    /**
     * @param  list<Mark>  $marks
     * @return list<Stretch>
     */
    public static function cut(array $marks): array
    {
        $stretches = [];
        $from = 0;
        while ($from < count($marks)) {
            $to = self::end($marks, $from);
            $here = array_slice($marks, $from, $to - $from);
            if ($here !== []) {
                $stretches[] = new Stretch($here);
            }
            $from = max($to, $from + 1);
        }

        return $stretches;
    }

    /**
     * Where the stretch that begins here ends: at the first moment of a change that lasts.
     *
     * @param  list<Mark>  $marks
     */
    private static function end(array $marks, int $from): int
    {
        $end = count($marks);
        foreach ([static fn (Mark $m): ?float => $m->moment->kw, static fn (Mark $m): ?float => $m->moment->amps, static fn (Mark $m): ?float => $m->ratio()] as $value) {
            $end = min($end, self::change($marks, $from, $end, $value));
        }

        return $end;
    }

    /**
     * @param  list<Mark>  $marks
     * @param  \Closure(Mark): (float|null)  $value
     */
    private static function change(array $marks, int $from, int $end, \Closure $value): int
    {
        $first = [];
        $began = null;
        $readings = 0;
        for ($i = $from; $i < count($marks); $i++) {
            $now = $value($marks[$i]);
            if ($now === null) {
                continue;
            }
            $level = Median::of($first);
            if ($level !== null && abs($now - $level) > self::CHANGE * $level) {
                $began ??= $i;
                $readings += $marks[$i]->moment->readings;
                if ($readings >= self::LASTS_READINGS && $marks[$i]->untilS - $marks[$began]->moment->tS >= self::LASTS_S) {
                    return $began;
                }
            } elseif ($i >= $end) {
                return $end;
            } else {
                $began = null;
                $readings = 0;
                if (count($first) < self::LEVEL_MOMENTS) {
                    $first[] = $now;
                }
            }
        }

        return $end;
    }
}
