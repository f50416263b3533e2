<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Record\Moment;

/** Averages readings closer than ten seconds, so that a cause doesn't depend on the sampling interval. */
final class AveragedReadings
{
    /** Readings closer together than this are averaged (s). */
    private const OVER_S = 10.0;

    /** Rounding of times (s). */
    private const SAME_S = 0.5;

    /**
     * @param  list<ReferencePoint>  $referencePoints
     * @return list<ReferencePoint>
     */
    public static function of(array $referencePoints): array
    {
        $averaged = [];
        $group = [];
        foreach ($referencePoints as $referencePoint) {
            // A mean over the moment at which the current sets in or ends would be neither.
            $isNext = $group !== [] && ($referencePoint->untilS - $group[0]->moment->tS > self::OVER_S + self::SAME_S || $referencePoint->moment->flows() !== $group[0]->moment->flows());
            if ($isNext) {
                $averaged[] = self::one($group);
                $group = [];
            }
            $group[] = $referencePoint;
        }

        return $group === [] ? $averaged : [...$averaged, self::one($group)];
    }

    /** @param  non-empty-list<ReferencePoint>  $group */
    private static function one(array $group): ReferencePoint
    {
        if (count($group) === 1) {
            return $group[0];
        }
        $last = $group[count($group) - 1];
        $celsius = [];
        foreach ($group as $referencePoint) {
            foreach ($referencePoint->moment->celsius as $point => $hottest) {
                $celsius[$point] = max($celsius[$point] ?? $hottest, $hottest);
            }
        }

        return new ReferencePoint(
            new Moment(
                $group[0]->moment->tS,
                array_sum(array_map(static fn (ReferencePoint $m): int => $m->moment->readings, $group)),
                $last->moment->soc,
                self::mean($group, static fn (ReferencePoint $m): ?float => $m->moment->volts),
                self::mean($group, static fn (ReferencePoint $m): ?float => $m->moment->amps),
                self::mean($group, static fn (ReferencePoint $m): ?float => $m->moment->kw),
                $celsius,
                array_filter($group, static fn (ReferencePoint $m): bool => ! $m->moment->isMeasured) === [],
            ),
            $last->untilS,
            self::mean($group, static fn (ReferencePoint $m): ?float => $m->soc),
            self::mean($group, static fn (ReferencePoint $m): ?float => $m->expectedKw),
            self::mean($group, static fn (ReferencePoint $m): ?float => $m->carKw),
        );
    }

    /**
     * Time-weighted mean.
     *
     * @param  list<ReferencePoint>  $referencePoints
     * @param  \Closure(ReferencePoint): (float|null)  $value
     */
    private static function mean(array $referencePoints, \Closure $value): ?float
    {
        $sum = $seconds = 0.0;
        foreach ($referencePoints as $referencePoint) {
            $now = $value($referencePoint);
            if ($now !== null) {
                $weight = max($referencePoint->seconds(), self::SAME_S);
                $sum += $weight * $now;
                $seconds += $weight;
            }
        }

        return $seconds > 0.0 ? $sum / $seconds : null;
    }
}
