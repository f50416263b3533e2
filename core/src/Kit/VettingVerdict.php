<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Whether to buy an adapter, as far as is known. Never a guarantee. */
enum VettingVerdict: string implements Term
{
    case UseIt = 'use_it';
    case AskFirst = 'ask_first';
    case LeaveIt = 'leave_it';

    public function message(): Message
    {
        return match ($this) {
            self::UseIt => Message::of('vet_verdict.use_it'),
            self::AskFirst => Message::of('vet_verdict.ask_first'),
            self::LeaveIt => Message::of('vet_verdict.leave_it'),
        };
    }
}
