<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Adapter;

/** One point's hottest reading, its rise over ambient, and what they mean for a surface that is touched. */
final readonly class TemperatureRow
{
    private const CAUTION_RISE_K = 30.0;

    private const OVER_RISE_K = 50.0;

    private const CAUTION_C = 50.0;

    private const OVER_C = 60.0;

    private function __construct(public Point $point, public float $maxC, public ?float $riseK, public TemperatureState $state)
    {
    }

    /** @param  Adapter|null  $adapter the one whose own limits stand in for the general ones */
    public static function of(Point $point, float $maxC, ?float $riseK, ?Adapter $adapter): self
    {
        $own = $point === Point::Adapter ? $adapter : null;
        $cautionC = $own->derateC ?? self::CAUTION_C;
        $overC = $own->cutoffC ?? ($point->isHeld() ? self::OVER_C : INF);
        $hasOwn = $own?->derateC !== null || $own?->cutoffC !== null;
        $riseCounts = $riseK !== null && ! $hasOwn;

        return new self($point, $maxC, $riseK, match (true) {
            $maxC >= $overC, $riseCounts && $riseK >= self::OVER_RISE_K => TemperatureState::Over,
            $maxC >= $cautionC, $riseCounts && $riseK >= self::CAUTION_RISE_K => TemperatureState::Caution,
            $riseK === null && ! $hasOwn => TemperatureState::NotMeasured,
            default => TemperatureState::Within,
        });
    }

    /** Rise per (100 A)² of the 10-minute mean, for trends (K); null without both. */
    public function index(?float $mean10MinA): ?float
    {
        return $this->riseK === null || $mean10MinA === null || $mean10MinA < 1 ? null : $this->riseK / ($mean10MinA / 100) ** 2;
    }
}
