<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Which adapters the driver is willing to use. No policy allows a recalled or damaged one. */
enum AdapterPolicy: string implements Term
{
    case Maker = 'maker';
    case Certified = 'certified';
    case Any = 'any';

    public function message(): Message
    {
        return Message::of('policy.'.$this->value);
    }
}
