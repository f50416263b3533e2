<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Where the charge port sits, seen by a person in the driver's seat. */
enum PortCorner: string implements Term
{
    case FrontLeft = 'front-left';
    case FrontRight = 'front-right';
    case FrontCentre = 'front-centre';
    case RearLeft = 'rear-left';
    case RearRight = 'rear-right';
    case RearCentre = 'rear-centre';

    public function isFront(): bool
    {
        return str_starts_with($this->value, 'front');
    }

    public function isCentre(): bool
    {
        return str_ends_with($this->value, 'centre');
    }

    public function message(): Message
    {
        return Message::of('port.'.$this->value);
    }
}
