<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** How a cabinet divides its power between two stalls. */
enum SharingPolicy: string implements Term
{
    case Halves = 'halves';
    case FirstCome = 'first_come';
    case Modules = 'modules';

    public function message(): Message
    {
        return Message::of('sharing.'.$this->value);
    }
}
