<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** What 5 % more would take, from one state of charge on. */
final readonly class NextFivePercent
{
    public const STEP_PERCENT = 5.0;

    public function __construct(public float $soc, public float $minutesPer5, public float $plugKwhPer5)
    {
    }
}
