<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\SimulatedSession;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Step;
use Harmozon\Core\Record\Reading;

/** What is told of a drill once it is answered: the session as forecast, and as it went with the fault. */
final readonly class Debrief
{
    /** The shortest between two points of the curve (s), and how many a drawing shows. */
    private const EVERY_S = 15;

    private const POINTS = 200;

    /** @param  SimulatedSession|null  $played  null where nothing goes wrong */
    private function __construct(public ?Forecast $forecast, public ?SimulatedSession $played)
    {
    }

    /** @return self|null null where nothing flows */
    public static function of(Drill $drill, int $seed): ?self
    {
        $answer = $drill->answer;
        if ($answer === null || $answer->outcome->flow() !== Flow::Yes) {
            return null;
        }
        $forecast = Forecaster::sparing()->forecast($answer, $answer->conditions);
        $everyS = max(self::EVERY_S, (int) round(60 * ($forecast->totals->minutes ?? 0.0) / self::POINTS));
        // A drill has a fault only where the bench can play it.
        $played = $drill->fault === null ? null : Simulation::of($answer, $seed, $drill->fault)->session(new ExactInstruments($answer->chain), $everyS);

        return new self($forecast->isGiven() ? $forecast : null, $played);
    }

    /** @return list<array{float, float}> minutes and kW */
    public function expected(): array
    {
        return array_map(static fn (Step $s): array => [$s->tS / 60, $s->flow->kw], $this->forecast->course->points ?? []);
    }

    /** @return list<array{float, float}> minutes and kW; none where no current ever flowed */
    public function took(): array
    {
        return $this->played === null || $this->played->plugKwh <= 0.0 ? [] : array_map(static fn (Reading $r): array => [$r->tS() / 60, $r->kw ?? 0.0], $this->played->readings);
    }
}
