<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** The energy that readings add up to, and the charge they begin and end with. */
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
