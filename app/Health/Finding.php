<?php

declare(strict_types=1);

namespace App\Health;

use Harmozon\Core\Words\Message;

/** What was found about one subject, and how to mend it where it is not well. */
final readonly class Finding
{
    private function __construct(public Subject $subject, public bool $isGood, public Message $says)
    {
    }

    public static function good(Subject $subject, Message $says): self
    {
        return new self($subject, true, $says);
    }

    public static function bad(Subject $subject, Message $says): self
    {
        return new self($subject, false, $says);
    }
}
