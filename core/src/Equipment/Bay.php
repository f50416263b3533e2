<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** The layout of a stall's bay: room for a trailer, and who it is reserved for. */
enum Bay: string implements Term
{
    case Standard = 'standard';
    case End = 'end';
    case PullThrough = 'pull_through';
    case Accessible = 'accessible';

    public function message(): Message
    {
        return match ($this) {
            self::Standard => Message::of('bay.standard'),
            self::End => Message::of('bay.end'),
            self::PullThrough => Message::of('bay.pull_through'),
            self::Accessible => Message::of('bay.accessible'),
        };
    }
}
