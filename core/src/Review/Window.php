<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** A part of a session from the first current on, as people quote it. */
final readonly class Window
{
    /**
     * @param  float  $minutes  since the first current
     * @param  float  $kwh  at the plug
     * @param  float|null  $percent  of charge that was added; null where nothing tells
     * @param  float|null  $km  that were added; null where the car's use is not known either
     * @param  bool  $hasGap  whether a part of it was read by nobody
     */
    public function __construct(public float $minutes, public float $kwh, public ?float $percent, public ?float $km, public bool $hasGap = false)
    {
    }

    public function meanKw(): float
    {
        return $this->minutes > 0 ? $this->kwh / $this->minutes * 60 : 0.0;
    }
}
