<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

use Harmozon\Core\Words\Message;

/** One of the answers to choose from, and why it is right or not. */
final readonly class Choice
{
    public function __construct(public string $code, public Message $words, public bool $isRight, public ?Message $why = null)
    {
    }
}
