<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The onboard charger behind an inlet: phases, amps per phase, kW at the plug, and its window of volts per phase. */
final readonly class AcSide
{
    use CopyWithChanges;

    /**
     * @param  bool  $isMinVByStandard  whether nobody has read the lowest volts: they are the least that a standard asks for
     * @param  bool  $isMaxVByStandard  the same of the highest volts
     */
    public function __construct(
        public ?int $phases,
        public ?float $maxA,
        public ?float $maxKw,
        public ?float $minV,
        public ?float $maxV,
        public bool $isMinVByStandard = false,
        public bool $isMaxVByStandard = false,
    ) {
    }

    /** Rated volts; null where nobody has read them. */
    public function ratedV(): ?float
    {
        return $this->isMaxVByStandard ? null : $this->maxV;
    }

    public function onPhases(int $phases): self
    {
        return $this->with(phases: $phases);
    }

    public function limitedTo(?float $maxA, ?float $maxKw): self
    {
        return $this->with(maxA: $maxA, maxKw: $maxKw);
    }
}
