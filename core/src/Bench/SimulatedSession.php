<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Reading;

/** A session that the stand-in went through. */
final readonly class SimulatedSession
{
    /**
     * @param  list<PhaseSpan>  $phases  in order; those that were never reached are not among them
     * @param  list<Event>  $events  in the order of time
     * @param  list<Reading>  $readings
     * @param  float  $minutes  from plugging in until the current ends, or until the station gives up
     * @param  float  $stationKwh  as the station's meter shows it
     */
    public function __construct(
        public SimulationOutcome $outcome,
        public array $phases,
        public array $events,
        public array $readings,
        public float $minutes,
        public float $plugKwh,
        public float $stationKwh,
        public float $endSoc,
    ) {
    }
}
