<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** The number of readings and their spacing. */
final readonly class ReadingCount
{
    /**
     * @param  float|null  $lastTs  time of the last reading (s)
     * @param  float  $samplingGapS  usual seconds between two of them
     */
    public function __construct(public int $all, public int $withAmps, public ?float $lastTs, public float $samplingGapS)
    {
    }
}
