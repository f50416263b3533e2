<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** A reading with the values derived from it. Null: neither read nor derivable. */
final readonly class CompletedReading
{
    public function __construct(
        public Reading $reading,
        public ?float $volts,
        public ?float $amps,
        public ?float $kw,
        public Provenance $voltsFrom = Provenance::Measured,
        public Provenance $ampsFrom = Provenance::Measured,
        public Provenance $kwFrom = Provenance::Measured,
    ) {
    }
}
