<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The onboard charger behind an inlet: phases, amps per phase, kW at the plug, and its window of volts per phase. */
final readonly class AcSide
{
    use Alterable;

    public function __construct(
        public ?int $phases,
        public ?float $maxA,
        public ?float $maxKw,
        public ?float $minV,
        public ?float $maxV,
    ) {
    }

    public function limitedTo(?float $maxA, ?float $maxKw): self
    {
        return $this->with(maxA: $maxA, maxKw: $maxKw);
    }
}
