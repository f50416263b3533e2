<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** The seven gates, in the order in which a chain passes them. */
enum GateName: string implements Term
{
    case Shape = 'shape';
    case Current = 'current';
    case Signalling = 'signalling';
    case Voltage = 'voltage';
    case Access = 'access';
    case Adapter = 'adapter';
    case Reach = 'reach';

    public function message(): Message
    {
        return Message::of('gate.'.$this->value);
    }
}
