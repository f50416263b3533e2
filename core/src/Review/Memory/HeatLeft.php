<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Power\EffectivePlate;

/** The heat that an earlier session has left in an adapter. */
final class HeatLeft
{
    /** A load below this counts as none. */
    private const LEAST = 0.01;

    /**
     * @param  float  $theta  heat load when that session ended
     * @param  float  $minutes  since then
     * @return float|null the load by now; null where it is cold again, or its plate's amps are not known
     */
    public static function in(Adapter $adapter, float $theta, float $minutes): ?float
    {
        $left = EffectivePlate::ofAdapter($adapter, new Conditions)->duty(null)?->after($theta, 0.0, max(0.0, $minutes));

        return $left === null || $left < self::LEAST ? null : $left;
    }
}
