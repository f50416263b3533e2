<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

final readonly class Event
{
    /** Characters of what was tried, or of a stall's label. */
    public const LONGEST_DETAIL = 200;

    /**
     * @param  int  $tMs  milliseconds since plugging in
     * @param  string|null  $detail  what somebody noted beside it: the phase reached, what was tried, the stall
     */
    public function __construct(public EventCode $code, public int $tMs, public ?string $detail = null)
    {
    }
}
