<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What a network may require before a driver can start a session. */
enum SetUpStep: string implements Term
{
    case App = 'app';
    case Account = 'account';
    case Card = 'card';

    /** In the car, for starting by itself (ISO 15118). */
    case Certificate = 'certificate';
    case Membership = 'membership';

    public function message(): Message
    {
        return Message::of('set_up_step.'.$this->value);
    }

    /** @param  list<self>  $steps */
    public static function list(array $steps): Listing
    {
        return Listing::and(array_map(static fn (self $s): Message => $s->message(), $steps));
    }
}
