<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Bench\CannotActOut;
use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Bench\Witness;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Words\Message;

/** A fault that can happen on a chain, and what one notices of it. */
final class FaultDraw
{
    public static function of(ChainAnswer $answer, Draw $draw): ?Fault
    {
        try {
            $possible = Simulation::of($answer, $draw->seed)->possibleFaults();
        } catch (CannotActOut) {
            return null;
        }
        $faults = array_values(array_filter(Fault::cases(), static fn (Fault $f): bool => $possible[$f->value] === null));

        return $faults === [] ? null : $draw->one($faults);
    }

    /** @return list<Message> */
    public static function situation(ChainAnswer $answer, Fault $fault): array
    {
        return [
            Message::of('drill.at', vehicle: $answer->chain->vehicle->name, outlet: $answer->chain->outlet->name),
            Message::of('drill.station_shows', sign: $fault->sign(Witness::Station)),
            Message::of('drill.car_shows', sign: $fault->sign(Witness::Car)),
            Message::of('drill.you_hear', sign: $fault->sign(Witness::Ear)),
        ];
    }
}
