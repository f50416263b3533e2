<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/** What an adapter needs before it is used, as far as its own record says; the most pressing first. */
enum AdapterNeed: string
{
    case Recall = 'recall';
    case Inspection = 'inspection';
    case OverdueTest = 'overdue_test';
    case Charge = 'charge';
    case Return = 'return';

    /** The most pressing; null when its record shows none. What nobody has read is no need. */
    public static function of(Adapter $adapter): ?self
    {
        return match (true) {
            $adapter->trust->recalled === true => self::Recall,
            $adapter->trust->damaged === true => self::Inspection,
            $adapter->trust->testOverdue === true => self::OverdueTest,
            $adapter->isActive() && $adapter->handling->batteryOk === false => self::Charge,
            $adapter->isLent() => self::Return,
            default => null,
        };
    }

    /** Whether it must not be used at all. */
    public function forbidsUse(): bool
    {
        return $this === self::Recall || $this === self::Inspection;
    }

    public function message(Adapter $adapter): Message
    {
        return match ($this) {
            self::Recall => Message::of('need.recall'),
            self::Inspection => Message::of('need.inspection'),
            self::OverdueTest => Message::of('need.overdue_test'),
            self::Charge => Message::of('need.charge'),
            self::Return => Message::of('need.return', borrower: (string) $adapter->handling->keeping->lentTo),
        };
    }
}
