<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** Time and energy for the next 5 %, from one state of charge. */
final readonly class NextFivePercent
{
    public const STEP_PERCENT = 5.0;

    public function __construct(public float $soc, public float $minutesPer5, public float $plugKwhPer5)
    {
    }
}
