<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** The verdict of a session. */
enum Verdict: string implements Term
{
    case Passed = 'passed';
    case PassedIndicative = 'passed_indicative';
    case Caution = 'caution';
    case Failed = 'failed';
    case Incomplete = 'incomplete';

    public function message(): Message
    {
        return Message::of('verdict.'.$this->value);
    }
}
