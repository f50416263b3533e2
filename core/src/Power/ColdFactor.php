<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\PackOnArrival;

/** The share of the charge curve left in a cold battery: 1 from 25 °C, 0.35 at 0 °C, 0.15 at −15 °C and below, straight in between. */
final class ColdFactor
{
    private const FREEZING_C = 0.0;

    private const AT_FREEZING = 0.35;

    private const COLDEST_C = -15.0;

    private const AT_COLDEST = 0.15;

    public static function at(float $packC): float
    {
        return match (true) {
            $packC >= PackOnArrival::WARM_C => 1.0,
            $packC >= self::FREEZING_C => self::AT_FREEZING + $packC / PackOnArrival::WARM_C * (1 - self::AT_FREEZING),
            $packC >= self::COLDEST_C => self::AT_COLDEST + (1 - $packC / self::COLDEST_C) * (self::AT_FREEZING - self::AT_COLDEST),
            default => self::AT_COLDEST,
        };
    }

    /** The temperature at which this share is left; beyond the ends, the coldest or warmest temperature that makes a difference. */
    public static function celsiusAt(float $factor): float
    {
        return match (true) {
            $factor >= 1.0 => PackOnArrival::WARM_C,
            $factor >= self::AT_FREEZING => PackOnArrival::WARM_C * ($factor - self::AT_FREEZING) / (1 - self::AT_FREEZING),
            $factor > self::AT_COLDEST => self::COLDEST_C * (1 - ($factor - self::AT_COLDEST) / (self::AT_FREEZING - self::AT_COLDEST)),
            default => self::COLDEST_C,
        };
    }

    /** How it changes as the battery warms up (1/K). */
    public static function perK(float $packC): float
    {
        return match (true) {
            $packC >= PackOnArrival::WARM_C, $packC < self::COLDEST_C => 0.0,
            $packC >= self::FREEZING_C => (1 - self::AT_FREEZING) / (PackOnArrival::WARM_C - self::FREEZING_C),
            default => (self::AT_FREEZING - self::AT_COLDEST) / (self::FREEZING_C - self::COLDEST_C),
        };
    }

    /** The temperature up to which that slope holds; INF where the battery is warm. */
    public static function nextKneeC(float $packC): float
    {
        return match (true) {
            $packC >= PackOnArrival::WARM_C => INF,
            $packC >= self::FREEZING_C => PackOnArrival::WARM_C,
            $packC >= self::COLDEST_C => self::FREEZING_C,
            default => self::COLDEST_C,
        };
    }
}
