<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Alternating or direct current at the plug. */
enum CurrentKind: string implements Term
{
    case Ac = 'ac';
    case Dc = 'dc';

    public function message(): Message
    {
        return Message::of('current.'.$this->value);
    }
}
