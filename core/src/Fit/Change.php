<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;

/** One thing that could be different, and the answer the gates then give. */
final readonly class Change
{
    public function __construct(public Message $message, public ChainAnswer $answer)
    {
    }
}
