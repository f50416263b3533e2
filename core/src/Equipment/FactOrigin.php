<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Where one fact of a piece comes from, since when, and between what it may lie. */
final readonly class FactOrigin
{
    /**
     * @param  string|null  $on  day (ISO 8601); null when nobody wrote it down
     * @param  float|Curve|null  $low  the least it may be; null when no spread is known
     * @param  float|Curve|null  $high  the most it may be; null when no spread is known
     */
    public function __construct(
        public Origin $origin,
        public ?string $on = null,
        public float|Curve|null $low = null,
        public float|Curve|null $high = null,
    ) {
    }
}
