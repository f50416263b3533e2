<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\CopyWithChanges;
use Harmozon\Core\Equipment\Vehicle;

/** The charge to start from and to reach (%), or the distance the car has to go. */
final readonly class ChargeWanted
{
    use CopyWithChanges;

    public const DEFAULT_SOC_FROM = 10.0;

    public const DEFAULT_SOC_TO = 80.0;

    /** @param  Distance|null  $distance  what the charge is wanted for, where the target follows from it */
    public function __construct(
        public float $socFrom = self::DEFAULT_SOC_FROM,
        public float $socTo = self::DEFAULT_SOC_TO,
        public ?Distance $distance = null,
    ) {
    }

    /** The target that a distance asks for, where the car's use is known. */
    public function reaching(Vehicle $vehicle): self
    {
        $soc = $this->distance?->targetSoc($vehicle);

        return $soc === null ? $this : $this->with(socTo: max($this->socFrom, min(100.0, $soc)));
    }

    public function arriving(float $socFrom): self
    {
        return $this->with(socFrom: $socFrom, socTo: max($socFrom, $this->socTo));
    }

    public function upTo(float $socTo): self
    {
        return $this->with(socTo: $socTo);
    }
}
