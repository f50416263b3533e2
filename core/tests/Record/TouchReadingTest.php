<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Record;

use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Record\TouchReading;
use Harmozon\Core\Review\Headline;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class TouchReadingTest extends TestCase
{
    public function test_hot_below_half_of_the_rating_takes_an_adapter_out_of_use(): void
    {
        $takes = static fn (EventCode $code, ?string $point, ?float $amps, ?float $continuousA): bool => TouchReading::takesOutOfUse(new Event($code, 0, $point), $amps, $continuousA);

        self::assertTrue($takes(EventCode::FeltHot, 'adapter', 149.9, 300));
        foreach ([
            [EventCode::FeltHot, 'adapter', 150.0, 300.0], [EventCode::FeltWarm, 'adapter', 10.0, 300.0], [EventCode::FeltHot, 'handle', 10.0, 300.0],
            [EventCode::FeltHot, null, 10.0, 300.0], [EventCode::FeltHot, 'adapter', null, 300.0], [EventCode::FeltHot, 'adapter', 10.0, null],
        ] as $case) {
            self::assertFalse($takes(...$case));
        }
    }

    public function test_what_felt_hot_is_a_caution_and_proves_nothing(): void
    {
        $case = Cases::read(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]]));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        foreach (range(0, 30) as $i) {
            $judge->add(new Reading($i * 20_000, 10 + $i / 2, 340, 150, 51.0));
        }
        $events = [new Event(EventCode::FeltHot, 60_000, 'adapter'), new Event(EventCode::FeltHot, 90_000, 'handle'), new Event(EventCode::FeltWarm, 95_000, 'cable'), new Event(EventCode::FeltHot, 99_000, 'elbow')];
        $recorded = RecordedSession::of($answer, $case->conditions, $judge->judgement(), $events);

        self::assertSame("Adapter and handle felt hot to the touch. That's no measurement, but look at the contacts before the next session.", Say::it(Headline::beside($recorded)[0]));
        self::assertSame([], $recorded->judgement->temperatures);
        self::assertNull(TouchReading::caution([new Event(EventCode::FeltCool, 0, 'adapter')]));
    }
}
