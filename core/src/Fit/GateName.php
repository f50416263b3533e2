<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** The gates in the order a chain passes them. A new one needs a class, its words, and a case here. */
enum GateName: string implements Term
{
    case Shape = 'shape';
    case Current = 'current';
    case Signalling = 'signalling';
    case Voltage = 'voltage';
    case Access = 'access';
    case Adapter = 'adapter';
    case Reach = 'reach';

    public function gate(): Gate
    {
        return match ($this) {
            self::Shape => new Gates\ShapeGate,
            self::Current => new Gates\CurrentGate,
            self::Signalling => new Gates\SignallingGate,
            self::Voltage => new Gates\VoltageGate,
            self::Access => new Gates\AccessGate,
            self::Adapter => new Gates\AdapterGate,
            self::Reach => new Gates\ReachGate,
        };
    }

    public function message(): Message
    {
        return Message::of('gate.'.$this->value);
    }
}
