<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\PackOnArrival;
use Harmozon\Core\Equipment\Pack;

/**
 * A cold battery that warms up while it charges: a share of its power turns into heat, the car's heater adds to it, and
 * nothing is lost to the ambient. Heat from charging grows with charge, heat from the heater with time.
 */
final readonly class PackWarmth
{
    /** Heat capacity of each usable kWh (kJ/K). */
    private const KJ_PER_K_PER_KWH = 6.0;

    /** Share of the pack's power that warms it. */
    private const HEAT_SHARE = 0.04;

    /** kJ in a percent of a kWh. */
    private const KJ_IN_PERCENT_OF_KWH = 36;

    /** What charging adds (K per percent): the heat and the capacity both go with the usable kWh. */
    public const K_PER_PERCENT = self::HEAT_SHARE * self::KJ_IN_PERCENT_OF_KWH / self::KJ_PER_K_PER_KWH;

    /** Within this of warm counts as warm (K). */
    private const SAME_K = 1e-6;

    private float $startFactor;

    /**
     * @param  float  $startC  when it is plugged in
     * @param  float  $kPerS  what the heater adds
     */
    private function __construct(public float $startC, private float $kPerS)
    {
        $this->startFactor = ColdFactor::at($startC);
    }

    /** An unread heater counts as none. */
    public static function of(Pack $pack, float $startC): self
    {
        return new self($startC, self::heaterKPerS($pack));
    }

    /** The temperature after some minutes of preheating: at most warm; a warmer battery stays as it is. */
    public static function prepared(Pack $pack, float $fromC, float $minutes): float
    {
        return max($fromC, min(PackOnArrival::WARM_C, $fromC + 60 * $minutes * self::heaterKPerS($pack)));
    }

    public function after(float $gainedPercent, float $seconds): float
    {
        $celsius = $this->startC + self::K_PER_PERCENT * $gainedPercent + $this->kPerS * $seconds;

        return $celsius > PackOnArrival::WARM_C - self::SAME_K && $this->startC < PackOnArrival::WARM_C ? max($celsius, PackOnArrival::WARM_C) : $celsius;
    }

    /** How much more of the charge curve is left at a temperature than at the start. */
    public function gain(float $packC): float
    {
        return ColdFactor::at($packC) / $this->startFactor;
    }

    /** How the gain changes (1/K). */
    public function gainPerK(float $packC): float
    {
        return ColdFactor::perK($packC) / $this->startFactor;
    }

    /** K per percent of charge while charging goes so fast. */
    public function kPerPercent(float $percentPerS): float
    {
        return self::K_PER_PERCENT + $this->kPerS / $percentPerS;
    }

    private static function heaterKPerS(Pack $pack): float
    {
        return $pack->usableKwh === null ? 0.0 : ($pack->heaterKw ?? 0.0) / (self::KJ_PER_K_PER_KWH * $pack->usableKwh);
    }
}
