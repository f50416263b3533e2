<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Record;

use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\HandshakeTime;
use PHPUnit\Framework\TestCase;

final class HandshakeTimeTest extends TestCase
{
    public function test_it_runs_from_the_last_plugging_in_to_the_first_current(): void
    {
        $at = static fn (EventCode $code, float $s): Event => new Event($code, (int) (1000 * $s));

        self::assertNull(HandshakeTime::seconds([]));
        self::assertNull(HandshakeTime::seconds([$at(EventCode::Plugged, 0)]));
        self::assertNull(HandshakeTime::seconds([$at(EventCode::CurrentFlows, 40)]));
        self::assertSame(41.5, HandshakeTime::seconds([$at(EventCode::CurrentFlows, 41.5), $at(EventCode::Plugged, 0)]));
        self::assertSame(0.0, HandshakeTime::seconds([$at(EventCode::CurrentFlows, 5), $at(EventCode::Plugged, 5)]));
        // Joined again after a failed start, and once more after a pause.
        self::assertSame(38.0, HandshakeTime::seconds([
            $at(EventCode::Plugged, 0), $at(EventCode::FailedStart, 130), $at(EventCode::Plugged, 200), $at(EventCode::CurrentFlows, 238), $at(EventCode::Plugged, 900), $at(EventCode::CurrentFlows, 930),
        ]));
        // The plugging in before the first current was not noted.
        self::assertNull(HandshakeTime::seconds([$at(EventCode::CurrentFlows, 40), $at(EventCode::Plugged, 900)]));
    }
}
