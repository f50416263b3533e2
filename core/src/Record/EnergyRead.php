<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** The energy from the readings, and the charge at their start and end. */
final readonly class EnergyRead
{
    /**
     * @param  float|null  $kwh  at the plug; null with fewer than two readings of kW
     * @param  float|null  $bridgedShare  of the energy, what lies in gaps that nobody read (0…1)
     */
    public function __construct(public ?float $kwh, public ?float $bridgedShare, public ?float $firstSoc, public ?float $lastSoc)
    {
    }

    public function socGained(): ?float
    {
        return $this->firstSoc === null || $this->lastSoc === null ? null : $this->lastSoc - $this->firstSoc;
    }
}
