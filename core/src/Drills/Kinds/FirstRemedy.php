<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\Remedy;
use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Words\Message;

/** What to do first when something goes wrong. */
final class FirstRemedy implements DrillRule
{
    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->charging($draw);
        $fault = $best === null ? null : FaultDraw::of($best, $draw);
        if ($best === null || $fault === null) {
            return null;
        }
        $remedies = $fault->remedies();
        $later = array_slice($remedies, 1, 1);

        return new Drill(
            FaultDraw::situation($best, $fault),
            Message::of('drill.first_remedy'),
            $draw->mixed([
                new Choice($remedies[0]->value, $remedies[0]->message(), true),
                ...array_map(static fn (Remedy $r): Choice => new Choice($r->value, $r->message(), false, Message::of('drill.comes_later')), $later),
                ...array_map(static fn (Remedy $r): Choice => new Choice($r->value, $r->message(), false, $fault->whyNot($r)), $fault->wrong()),
            ]),
            $best,
            new InjectedFault($fault),
        );
    }
}
