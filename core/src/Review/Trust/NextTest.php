<?php

declare(strict_types=1);

namespace Harmozon\Core\Review\Trust;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** When an adapter is to be tested next: a session with its temperature and the air around it read under load. */
final readonly class NextTest
{
    private const MONTHS = 12;

    /** The same as an interval. */
    private const YEAR = 'P12M';

    private const SESSIONS = 50;

    /**
     * @param  bool  $isDue  now
     * @param  string|null  $by  at the latest on this day (Y-m-d); null where it is due at once
     * @param  int|null  $withinSessions  or after this many more; null where it is due at once
     */
    private function __construct(public bool $isDue, public ?string $by, public ?int $withinSessions, public Message $why)
    {
    }

    /**
     * @param  list<Used>  $used  in the order of time
     * @param  string  $today  Y-m-d
     */
    public static function of(Adapter $adapter, array $used, Warming $warming, string $today): self
    {
        $last = null;
        $since = 0;
        $smelt = false;
        foreach ($used as $one) {
            if ($one->isTest()) {
                [$last, $since, $smelt] = [$one, 0, false];
            } else {
                $since++;
                $smelt = $smelt || $one->smelt;
            }
        }
        $by = $last === null ? null : (new \DateTimeImmutable($last->day))->add(new \DateInterval(self::YEAR))->format('Y-m-d');

        return match (true) {
            $adapter->trust->recalled === true => new self(true, null, null, Message::of('next_test.recalled')),
            $adapter->trust->damaged === true => new self(true, null, null, Message::of('next_test.damaged')),
            $last !== null && $adapter->isActive() && ($adapter->handling->firmware->on ?? '') > $last->day => new self(true, null, null, Message::of('next_test.firmware', day: (string) $adapter->handling->firmware->on)),
            $smelt => new self(true, null, null, Message::of('next_test.smelt')),
            $warming === Warming::Sudden => new self(true, null, null, Message::of('next_test.sudden')),
            $warming === Warming::Warming => new self(true, null, null, Message::of('next_test.warming')),
            $last === null || $by === null => new self(true, null, null, $used === [] ? Message::of('next_test.before_first_journey') : Message::of('next_test.never_tested', count: Amount::count(count($used)))),
            $by <= $today => new self(true, null, null, Message::of('next_test.months', months: Amount::count(self::MONTHS))),
            $since >= self::SESSIONS => new self(true, null, null, Message::of('next_test.sessions', count: Amount::count($since))),
            default => new self(false, $by, self::SESSIONS - $since, Message::of('next_test.later')),
        };
    }
}
