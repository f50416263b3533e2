<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** Energy and time lost in a segment, compared with its reference and with the car alone: never negative. */
final readonly class Loss
{
    /** Expected power below this would give endless minutes (kW). */
    private const LEAST_KW = 0.5;

    /**
     * @param  float|null  $kwh  what the reference would have brought more in the same time; null without a reference
     * @param  float|null  $minutes  what the reference would have been quicker for the same charge
     * @param  float|null  $behindCarKwh  what the car alone would have taken more in the same time
     * @param  float|null  $behindCarMinutes  what the car alone would have been quicker for the same charge
     */
    public function __construct(
        public ?float $kwh = null,
        public ?float $minutes = null,
        public ?float $behindCarKwh = null,
        public ?float $behindCarMinutes = null,
    ) {
    }

    /** @param  list<ReferencePoint>  $referencePoints */
    public static function of(array $referencePoints): self
    {
        return new self(...self::against($referencePoints, static fn (ReferencePoint $m): ?float => $m->expectedKw), ...self::against($referencePoints, static fn (ReferencePoint $m): ?float => $m->carKw));
    }

    public function and(self $next): self
    {
        $sum = static fn (?float $a, ?float $b): ?float => $a === null || $b === null ? $a ?? $b : $a + $b;

        return new self(
            $sum($this->kwh, $next->kwh), $sum($this->minutes, $next->minutes),
            $sum($this->behindCarKwh, $next->behindCarKwh), $sum($this->behindCarMinutes, $next->behindCarMinutes),
        );
    }

    /**
     * @param  list<ReferencePoint>  $referencePoints
     * @param  \Closure(ReferencePoint): (float|null)  $expected
     * @return array{float|null, float|null} kWh that would have come more in the same time, minutes that the same energy would have taken less
     */
    private static function against(array $referencePoints, \Closure $expected): array
    {
        $kwS = $seconds = 0.0;
        $isKnown = false;
        foreach ($referencePoints as $referencePoint) {
            $kw = $expected($referencePoint);
            if ($kw === null || $referencePoint->moment->kw === null) {
                continue;
            }
            $isKnown = true;
            $kwS += ($kw - $referencePoint->moment->kw) * $referencePoint->seconds();
            $seconds += $kw < self::LEAST_KW ? 0.0 : (1 - $referencePoint->moment->kw / $kw) * $referencePoint->seconds();
        }

        return $isKnown ? [max(0.0, $kwS / 3600), max(0.0, $seconds / 60)] : [null, null];
    }
}
