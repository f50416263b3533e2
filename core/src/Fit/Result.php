<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What a gate answers. */
enum Result: string implements Term
{
    case Pass = 'pass';
    case Caution = 'caution';
    case Fail = 'fail';
    case Unknown = 'unknown';

    public function message(): Message
    {
        return Message::of('result.'.$this->value);
    }
}
