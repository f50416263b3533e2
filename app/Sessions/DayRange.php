<?php

declare(strict_types=1);

namespace App\Sessions;

/** A span of days, both ends included (Y-m-d); null leaves that end open. */
final readonly class DayRange
{
    public function __construct(public ?string $from = null, public ?string $to = null)
    {
    }
}
