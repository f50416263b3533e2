<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Words\Message;

/** Whether a car charges at a charger with what is in the crate. */
final class WillItCharge implements DrillRule
{
    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->any($draw)->best;
        if ($best->outcome === Outcome::Unverified || $best->isToBuy()) {
            return null;
        }
        $right = $best->outcome === Outcome::Limited ? Outcome::Charges : $best->outcome;
        $choices = [];
        foreach ([
            [Outcome::Charges, Message::of('drill.outcome.charges')], [Outcome::WontCharge, Message::of('drill.outcome.wont_charge')],
            [Outcome::NoJoint, Message::of('drill.outcome.no_joint')], [Outcome::Hazard, Message::of('drill.outcome.hazard')],
        ] as [$outcome, $words]) {
            $choices[] = new Choice($outcome->value, $words, $outcome === $right, $outcome === $right ? $best->why() : null);
        }

        return new Drill(
            [Message::of('drill.at', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name)],
            Message::of('drill.will_it_charge'),
            $choices,
            $best,
        );
    }
}
