<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** Gaps and flags of the readings. */
final readonly class Irregularities
{
    /**
     * @param  list<Gap>  $gaps
     * @param  int  $gapsLeftOut  beyond those listed
     * @param  list<Flag>  $flags
     * @param  int  $flagsLeftOut  beyond those listed
     */
    public function __construct(public array $gaps, public int $gapsLeftOut, public array $flags, public int $flagsLeftOut)
    {
    }
}
