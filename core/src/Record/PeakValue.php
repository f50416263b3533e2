<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** The highest value of a quantity, when it was read, and whether that reading was flagged. */
final readonly class PeakValue
{
    public function __construct(public float $value, public int $tMs, public Provenance $provenance, public bool $isDoubtful)
    {
    }
}
