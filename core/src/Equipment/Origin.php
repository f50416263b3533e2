<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Where a fact comes from. */
enum Origin: string implements Term
{
    /** Off a plate, a screen, a handbook. */
    case Read = 'read';

    /** Typical for its kind: nobody has read it. */
    case Typical = 'typical';

    /** From recorded sessions. */
    case Learned = 'learned';

    /** From a network's file. */
    case Imported = 'imported';

    /** A person's own estimate. */
    case Estimated = 'estimated';

    /** Fixed by a standard or by the car's own design: it can't be anything else, so nobody needs to read it. */
    case Standard = 'standard';

    /** Whether power, time and price that depend on it are shown as "about", and nothing about safety may depend on it. */
    public function isAbout(): bool
    {
        return match ($this) {
            self::Typical, self::Learned, self::Estimated => true,
            self::Read, self::Imported, self::Standard => false,
        };
    }

    public function message(): Message
    {
        return Message::of('origin.'.$this->value);
    }
}
