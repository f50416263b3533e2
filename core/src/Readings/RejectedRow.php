<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Words\Message;

/** A row of a readings file that was left out, and why. */
final readonly class RejectedRow
{
    public function __construct(public int $line, public Message $reason)
    {
    }
}
