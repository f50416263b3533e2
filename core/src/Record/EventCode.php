<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Something that happens during a session. The names are part of the files' contract. */
enum EventCode: string implements Term
{
    case Plugged = 'plugged';
    case Authorised = 'authorised';
    case CurrentFlows = 'current_flows';
    case FailedStart = 'failed_start';
    case StallChanged = 'stall_changed';
    case Throttled = 'throttled';
    case NeighbourCame = 'neighbour_came';
    case NeighbourLeft = 'neighbour_left';
    case LatchStuck = 'latch_stuck';
    case SmellOrHeat = 'smell_or_heat';
    /** Felt with the back of a hand, from outside; the detail names the point. */
    case FeltCool = 'felt_cool';
    case FeltWarm = 'felt_warm';
    case FeltHot = 'felt_hot';
    case StoppedByStation = 'stopped_by_station';
    case StoppedByCar = 'stopped_by_car';
    case LimitChanged = 'limit_changed';

    public function message(): Message
    {
        return Message::of('event.'.$this->value);
    }

    /** Whether the adapters of the chain must not be used again before somebody has looked at them. */
    public function takesOutOfUse(): bool
    {
        return $this === self::SmellOrHeat;
    }
}
