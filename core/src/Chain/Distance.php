<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Vehicle;

/** A need given as a distance. The car's consumption is one figure for every speed, so the target is only as accurate as that figure. */
final readonly class Distance
{
    /** Charge a driver wants to have left on arrival unless they say otherwise (%). */
    public const USUAL_RESERVE = 10.0;

    public function __construct(public float $km, public float $reserveSoc = self::USUAL_RESERVE)
    {
    }

    /** The charge to leave with (%), above 100 where the battery can't cover the distance; null when the car's consumption or battery is not known. */
    public function targetSoc(Vehicle $vehicle): ?float
    {
        $kmPerPercent = $vehicle->kmPerKwh === null || $vehicle->pack->usableKwh === null ? null : $vehicle->kmPerKwh * $vehicle->pack->usableKwh / 100;

        return $kmPerPercent === null ? null : $this->reserveSoc + $this->km / $kmPerPercent;
    }
}
