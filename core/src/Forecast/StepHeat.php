<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** The thermal load of the links and the battery temperature at the start of a step. */
final readonly class StepHeat
{
    /**
     * @param  array<string, float>  $theta  heat load by link id
     * @param  array<string, true>  $spent  links whose boost is spent by then, by id
     * @param  float|null  $packC  temperature of a pack that started cold
     */
    public function __construct(public array $theta, public array $spent, public ?float $packC = null)
    {
    }
}
