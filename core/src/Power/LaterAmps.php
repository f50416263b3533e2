<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** A limit of the current that begins to hold some minutes after plugging in: a cable whose cooling fails, a boost that is spent early. */
final readonly class LaterAmps
{
    public function __construct(public float $fromMinute, public AmpLimit $limit)
    {
    }
}
