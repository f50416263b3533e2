<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Equipment\BoostConverter;
use Harmozon\Core\Equipment\CurrentKind;

/** Share of the energy at the plug that reaches the battery. Energy at the plug and in the battery are never the same figure. */
final class Efficiency
{
    public const DC = 0.95;

    public const AC = 0.90;

    public static function of(Chain $chain, VoltagePlan $plan): float
    {
        return $chain->current === CurrentKind::Dc && $plan->converter !== null
            ? $plan->converter->efficiency ?? BoostConverter::DEFAULT_EFFICIENCY
            : self::ofCurrent($chain->current);
    }

    /** Without a step-up. */
    public static function ofCurrent(CurrentKind $current): float
    {
        return $current === CurrentKind::Ac ? self::AC : self::DC;
    }
}
