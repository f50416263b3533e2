<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;

/** One change, and the answer it leads to. */
final readonly class Change
{
    public function __construct(public Message $message, public ChainAnswer $answer)
    {
    }
}
