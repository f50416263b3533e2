<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Who may start a session at an outlet. */
enum AccessKind: string implements Term
{
    case Open = 'open';
    case Account = 'account';
    case Makes = 'makes';
    case OwnersOnly = 'owners_only';

    public function message(): Message
    {
        return Message::of('access.'.$this->value);
    }
}
