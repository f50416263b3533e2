<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** What a vehicle would take from an ideal station, in the same conditions. */
final readonly class IdealPower
{
    /**
     * @param  float|null  $kw  null when nothing of it is known
     * @param  bool  $isRead  whether the car's own power has been read in full; else it is a ceiling
     */
    public function __construct(public ?float $kw, public bool $isRead)
    {
    }
}
