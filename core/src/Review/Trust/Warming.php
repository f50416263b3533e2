<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Trust;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** How warm an adapter gets, from its sessions. */
enum Warming: string implements Term
{
    case TooFew = 'too_few';
    case Steady = 'steady';
    case Rising = 'rising';
    case Warming = 'warming';
    case Sudden = 'sudden';

    /** Whether it is to be tested before it is used again. */
    public function asksForTest(): bool
    {
        return $this === self::Warming || $this === self::Sudden;
    }

    public function message(): Message
    {
        return Message::of('warming.'.$this->value);
    }
}
