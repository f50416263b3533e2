<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Household and industrial sockets that are offered by name (NEMA WD 6, IEC 60309-2); a coupler may name others. */
enum SocketKind: string implements Term
{
    case Nema515 = '5-15';
    case Nema520 = '5-20';
    case NemaTt30 = 'tt-30';
    case Nema620 = '6-20';
    case Nema1430 = '14-30';
    case Nema1450 = '14-50';
    case Household230 = 'household-230';
    case Blue16 = 'blue-16';
    case Blue32 = 'blue-32';
    case Red16 = 'red-16';
    case Red32 = 'red-32';

    public function coupler(): Coupler
    {
        return Coupler::of('socket:'.$this->value);
    }

    public function message(): Message
    {
        return Message::of('socket.'.$this->value);
    }

    /** The short name of its standard: "NEMA 14-50". */
    public function name(): Message
    {
        return Message::of('socket_name.'.$this->value);
    }
}
