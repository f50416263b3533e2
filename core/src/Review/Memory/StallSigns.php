<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Memory;

/** Whether a stall was seen to be weaker than its rating. */
final readonly class StallSigns
{
    public function __construct(public bool $derated = false, public bool $coolingFailed = false)
    {
    }
}
