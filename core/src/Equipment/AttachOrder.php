<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Which side of an adapter goes on first, from its own instructions. */
enum AttachOrder: string implements Term
{
    case HandleFirst = 'handle-first';
    case CarFirst = 'car-first';

    public function message(): Message
    {
        return Message::of('attach.'.$this->value);
    }
}
