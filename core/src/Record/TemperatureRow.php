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

    public const OVER_C = 60.0;

    /** @param  bool  $isTooHotToHold  of a surface that is held, by its own heat and not by its rise alone */
    private function __construct(
        public Point $point,
        public float $maxC,
        public ?float $riseK,
        public TemperatureState $state,
        public bool $isTooHotToHold,
    ) {
    }

    /** @param  Adapter|null  $adapter the one whose own temperatures stand in for the general ones; the limits on the rise stay */
    public static function of(Point $point, float $maxC, ?float $riseK, ?Adapter $adapter): self
    {
        $own = $point === Point::Adapter ? $adapter : null;
        $isTooHot = $point->isHeld() && $maxC >= ($own->rating->cutoffC ?? self::OVER_C);

        return new self($point, $maxC, $riseK, match (true) {
            $isTooHot, $riseK !== null && $riseK >= self::OVER_RISE_K => TemperatureState::Over,
            $maxC >= ($own->rating->derateC ?? self::CAUTION_C), $riseK !== null && $riseK >= self::CAUTION_RISE_K => TemperatureState::Caution,
            $riseK === null => TemperatureState::NotMeasured,
            default => TemperatureState::Within,
        }, $isTooHot);
    }

    /** Rise per (100 A)² of the 10-minute mean, for trends (K); null without both. */
    public function index(?float $mean10MinA): ?float
    {
        return $this->riseK === null || $mean10MinA === null || $mean10MinA < 1 ? null : $this->riseK / ($mean10MinA / 100) ** 2;
    }
}
