<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What stands behind an adapter's rating (UL 2252 and its kin). "Built to" is not "certified to". */
enum Certification: string implements Term
{
    case Certified = 'certified';
    case Claims = 'claims';
    case None = 'none';

    public function message(): Message
    {
        return Message::of('certification.'.$this->value);
    }
}
