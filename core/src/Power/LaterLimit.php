<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** A limit that begins to hold some minutes after plugging in. */
final readonly class LaterLimit
{
    public function __construct(public float $fromMinute, public KwLimit $limit)
    {
    }
}
