<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Record\Moment;

/** A moment of a session next to its reference: how long it lasts, its charge, and the expected power. */
final readonly class ReferencePoint
{
    /** Expected power below this makes no ratio (kW). */
    private const LEAST_KW = 0.1;

    /**
     * @param  float  $untilS  when the next one begins
     * @param  float|null  $soc  read, or worked out from the energy; null when the pack is not known
     * @param  float|null  $expectedKw  of the reference at this charge
     * @param  float|null  $carKw  what the car alone would take there
     */
    public function __construct(public Moment $moment, public float $untilS, public ?float $soc, public ?float $expectedKw, public ?float $carKw)
    {
    }

    public function seconds(): float
    {
        return max(0.0, $this->untilS - $this->moment->tS);
    }

    /** Measured power as a share of the expected one. */
    public function ratio(): ?float
    {
        return $this->expectedKw === null || $this->moment->kw === null || $this->expectedKw < self::LEAST_KW ? null : $this->moment->kw / $this->expectedKw;
    }
}
