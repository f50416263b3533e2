<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** A reading with what follows from it. */
final readonly class Completed
{
    public function __construct(public Reading $reading, public ?Value $volts, public ?Value $amps, public ?Value $kw)
    {
    }

    public function of(Quantity $quantity): ?Value
    {
        return match ($quantity) {
            Quantity::Volts => $this->volts,
            Quantity::Amps => $this->amps,
            Quantity::Kw => $this->kw,
        };
    }
}
