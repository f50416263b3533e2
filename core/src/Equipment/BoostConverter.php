<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** A car's own step-up: it lifts a lower station voltage to the pack's. Any figure may be unknown. */
final readonly class BoostConverter
{
    /** Share of the plug's energy that reaches the pack through a step-up. */
    public const DEFAULT_EFFICIENCY = 0.92;

    public function __construct(
        public ?float $maxKw,
        public ?float $maxInputA,
        public ?float $inputV,
        public ?float $efficiency,
    ) {
    }
}
