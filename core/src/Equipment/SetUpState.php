<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** The state of one step of a network's set-up. */
enum SetUpState: string implements Term
{
    case Done = 'done';
    case ToDo = 'to_do';
    case NotNeeded = 'not_needed';

    public function message(): Message
    {
        return Message::of('set_up_state.'.$this->value);
    }
}
