<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;

final class NoSuchInlet extends Refusal
{
    public static function of(string $vehicleId, int $index): self
    {
        return new self(Message::of('value.no_inlet', vehicle: $vehicleId, index: Amount::count($index)));
    }
}
