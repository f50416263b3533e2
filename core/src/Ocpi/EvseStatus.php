<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What an EVSE's status (OCPI 2.2.1, Status) means for a driver who wants to charge there. */
enum EvseStatus: string implements Term
{
    /** It works, or no fault is reported. */
    case Works = 'works';
    case OutOfOrder = 'out_of_order';
    /** Built but not in service. */
    case NotInService = 'not_in_service';
    /** Planned, or taken away. */
    case NotThere = 'not_there';

    /** @return array<string, self> by OCPI's word; whether somebody charges there now is of no use tomorrow */
    public static function ofOcpi(): array
    {
        return [
            'AVAILABLE' => self::Works, 'BLOCKED' => self::Works, 'CHARGING' => self::Works, 'RESERVED' => self::Works, 'UNKNOWN' => self::Works,
            'OUTOFORDER' => self::OutOfOrder,
            'INOPERATIVE' => self::NotInService,
            'PLANNED' => self::NotThere, 'REMOVED' => self::NotThere,
        ];
    }

    /** The stall's known fault; null when there is none. */
    public function fault(): ?Message
    {
        return match ($this) {
            self::OutOfOrder => Message::of('ocpi.fault_out_of_order'),
            self::NotInService => Message::of('ocpi.fault_not_in_service'),
            self::Works, self::NotThere => null,
        };
    }

    public function message(): Message
    {
        return Message::of('ocpi.status_'.$this->value);
    }
}
