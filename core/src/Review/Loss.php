<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** What a stretch lacked against its reference, and against the car alone: never less than nothing. */
final class Loss
{
    /** Expected power below this would make minutes without end (kW). */
    private const LEAST_KW = 0.5;

    /**
     * @param  list<Mark>  $marks
     * @return array{lostKwh: float|null, lostMinutes: float|null, behindCarKwh: float|null, behindCarMinutes: float|null}
     */
    public static function of(array $marks): array
    {
        [$lostKwh, $lostMinutes] = self::against($marks, static fn (Mark $m): ?float => $m->expectedKw);
        [$behindCarKwh, $behindCarMinutes] = self::against($marks, static fn (Mark $m): ?float => $m->carKw);

        return ['lostKwh' => $lostKwh, 'lostMinutes' => $lostMinutes, 'behindCarKwh' => $behindCarKwh, 'behindCarMinutes' => $behindCarMinutes];
    }

    /**
     * @param  list<Mark>  $marks
     * @param  \Closure(Mark): (float|null)  $expected
     * @return array{float|null, float|null} kWh that would have come more in the same time, minutes that the same energy would have taken less
     */
    private static function against(array $marks, \Closure $expected): array
    {
        $kwS = $seconds = 0.0;
        $isKnown = false;
        foreach ($marks as $mark) {
            $kw = $expected($mark);
            if ($kw === null || $mark->moment->kw === null) {
                continue;
            }
            $isKnown = true;
            $kwS += ($kw - $mark->moment->kw) * $mark->seconds();
            $seconds += $kw < self::LEAST_KW ? 0.0 : (1 - $mark->moment->kw / $kw) * $mark->seconds();
        }

        return $isKnown ? [max(0.0, $kwS / 3600), max(0.0, $seconds / 60)] : [null, null];
    }
}
