<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Plate;

/** A piece whose plate a session is held against. */
final readonly class Link
{
    /** @param  bool  $cooled a cooled cable is not derated by the ambient */
    public function __construct(
        public string $id,
        public string $name,
        public LinkKind $kind,
        public Plate $plate,
        public float $ageing = 1.0,
        public bool $cooled = false,
    ) {
    }

    /** The limit a peak is judged against: boost amps where the plate has them. */
    public function limit(Quantity $quantity): ?float
    {
        return match ($quantity) {
            Quantity::Volts => $this->plate->maxV,
            Quantity::Amps => $this->plate->peakA(),
            Quantity::Kw => $this->plate->maxKw,
        };
    }
}
