<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** The source of a value, best first. */
enum Provenance: string implements Term
{
    /** Read off an instrument. */
    case Measured = 'measured';

    /** Computed from two of V, A and kW that were read. */
    case Derived = 'derived';

    /** Volts from the pack's curve at the reading's state of charge, and what follows from them. */
    case Estimated = 'estimated';

    public function message(): Message
    {
        return Message::of('provenance.'.$this->value);
    }
}
