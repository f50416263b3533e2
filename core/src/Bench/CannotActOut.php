<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;

/** The stand-in knows too little about this chain to simulate it. */
final class CannotActOut extends Refusal
{
    public static function withoutKwh(): self
    {
        return new self(Message::of('bench.needs_kwh'));
    }

    public static function withoutVolts(): self
    {
        return new self(Message::of('bench.needs_volts'));
    }

    public static function withoutLimit(): self
    {
        return new self(Message::of('bench.needs_limit'));
    }
}
