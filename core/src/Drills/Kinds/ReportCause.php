<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Bench\CannotActOut;
use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** What the curve of a session shows. */
final class ReportCause implements DrillRule
{
    private const FAULTS = [Fault::BoostSpent, Fault::CoolingFailed, Fault::Neighbour, Fault::Derated, Fault::LinkLost];

    private const EVERY_S = 30;

    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->charging($draw);
        // A night at a socket has a level curve whatever happens.
        if ($best === null || $best->chain->current === CurrentKind::Ac) {
            return null;
        }
        $fault = $draw->one(self::FAULTS);
        try {
            $session = Simulation::of($best, $draw->seed, new InjectedFault($fault))->session(new ExactInstruments($best->chain), self::EVERY_S);
        } catch (CannotActOut) {
            return null;
        }

        return new Drill(
            [
                Message::of('drill.at', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name),
                Message::of('drill.expected', kw: Amount::kw($best->expectedPeakKw())),
            ],
            Message::of('drill.report_cause'),
            array_map(static fn (Fault $f): Choice => new Choice($f->value, $f->message(), $f === $fault), self::FAULTS),
            $best,
            new InjectedFault($fault),
            array_map(static fn (Reading $r): array => [$r->tS() / 60, $r->kw ?? 0.0], $session->readings),
        );
    }
}
