<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Power\HeatLink;

/** The thermal load of a link with a boost rating over a session. */
final readonly class HeatReport
{
    /** @param  float|null  $fullAtMinute  minutes after plugging in at which its boost was spent, by heat or by its minutes; null when it never was */
    public function __construct(public HeatLink $link, public float $thetaEnd, public ?float $fullAtMinute)
    {
    }

    /** Minutes that its full boost lasts today; null when it has no boost left. */
    public function boostMinutesToday(): ?float
    {
        $duty = $this->link->duty;

        return $duty->boostA > $duty->effectiveA ? $duty->fullBoostMinutes($this->link->theta) : null;
    }
}
