<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** A car's own step-up converter: it raises a lower station voltage to the battery's. Any figure may be unknown. */
final readonly class BoostConverter
{
    /** Share of the plug's energy that reaches the battery through a step-up converter. */
    public const DEFAULT_EFFICIENCY = 0.92;

    public function __construct(
        public ?float $maxKw,
        public ?float $maxInputA,
        public ?float $inputV,
        public ?float $efficiency,
    ) {
    }
}
