<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** The course of a session, from plugging in to its end. */
final readonly class ForecastCourse
{
    /**
     * @param  list<Step>  $points  at most 30 s apart where the power changes; the last one is the end
     * @param  list<HeatReport>  $heat
     * @param  list<NextFivePercent>  $nextFive
     */
    public function __construct(public array $points = [], public array $heat = [], public array $nextFive = [])
    {
    }
}
