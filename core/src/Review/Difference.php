<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Whether two sessions differ in their power. */
enum Difference: string implements Term
{
    case NoDifference = 'no_difference';
    case Slower = 'slower';
    case Faster = 'faster';
    case CannotTell = 'cannot_tell';

    public function message(): Message
    {
        return Message::of('difference.'.$this->value);
    }
}
