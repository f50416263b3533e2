<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** A reading with what follows from it. Null is neither read nor does it follow. */
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
