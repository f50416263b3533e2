<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** Splits a session where its power, current or share of the expected power changes level. */
final class Segmentation
{
    /** A change of level: by at least this share, for LASTS_READINGS readings and LASTS_S (s). */
    private const CHANGE = 0.08;

    private const LASTS_READINGS = 3;

    private const LASTS_S = 60.0;

    /** The level is the median of this many moments at the beginning of a segment. */
    private const LEVEL_MOMENTS = 9;

    /**
     * @param  list<ReferencePoint>  $referencePoints
     * @return list<Segment>
     */
    public static function cut(array $referencePoints): array
    {
        $segments = [];
        $from = 0;
        while ($from < count($referencePoints)) {
            $to = self::end($referencePoints, $from);
            $here = array_slice($referencePoints, $from, $to - $from);
            if ($here !== []) {
                $segments[] = new Segment($here);
            }
            $from = max($to, $from + 1);
        }

        return $segments;
    }

    /**
     * Where the segment that begins here ends: at the first moment of a change that lasts.
     *
     * @param  list<ReferencePoint>  $referencePoints
     */
    private static function end(array $referencePoints, int $from): int
    {
        $end = count($referencePoints);
        foreach ([static fn (ReferencePoint $m): ?float => $m->moment->kw, static fn (ReferencePoint $m): ?float => $m->moment->amps, static fn (ReferencePoint $m): ?float => $m->ratio()] as $value) {
            $end = min($end, self::change($referencePoints, $from, $end, $value));
        }

        return $end;
    }

    /**
     * @param  list<ReferencePoint>  $referencePoints
     * @param  \Closure(ReferencePoint): (float|null)  $value
     */
    private static function change(array $referencePoints, int $from, int $end, \Closure $value): int
    {
        $first = [];
        $began = null;
        $readings = 0;
        for ($i = $from; $i < count($referencePoints); $i++) {
            $now = $value($referencePoints[$i]);
            if ($now === null) {
                continue;
            }
            $level = Median::of($first);
            if ($level !== null && abs($now - $level) > self::CHANGE * $level) {
                $began ??= $i;
                $readings += $referencePoints[$i]->moment->readings;
                if ($readings >= self::LASTS_READINGS && $referencePoints[$i]->untilS - $referencePoints[$began]->moment->tS >= self::LASTS_S) {
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
