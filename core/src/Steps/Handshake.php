<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Words\Message;

/** What it means when no current flows yet, by the time since plugging in. */
final class Handshake
{
    /** @return array<int, Message> by the second from which each holds; first power is expected before the last of them */
    public static function waits(): array
    {
        return [
            30 => Message::of('handshake.usual'),
            60 => Message::of('handshake.slow'),
            SessionSteps::FIRST_POWER_MINUTES * 60 => Message::of('handshake.too_long'),
        ];
    }
}
