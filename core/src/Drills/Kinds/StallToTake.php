<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Kit\PlacedOutlet;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Which charger of a place to take. */
final class StallToTake implements DrillRule
{
    /** The best gives at least so many times as much as the next. */
    private const CLEAR = 1.15;

    private const MOST = 4;

    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $place = $draw->one($garage->outlets)->place;
        $vehicle = $draw->one($garage->vehicles);
        $here = array_values(array_filter($garage->outlets, static fn (PlacedOutlet $o): bool => $o->place === $place));
        $answers = [];
        foreach ($here as $at) {
            $best = $garage->at($at, $vehicle)->best;
            // One that nobody can be sure of might be the best.
            if ($best->outcome->flow() === Flow::Maybe || $best->isAtMost() || $best->isToBuy()) {
                return null;
            }
            $answers[] = $best;
        }
        usort($answers, static fn ($a, $b): int => ($b->expectedPeakKw() ?? 0.0) <=> ($a->expectedPeakKw() ?? 0.0));
        $answers = array_slice($answers, 0, self::MOST);
        $first = $answers[0]->expectedPeakKw() ?? 0.0;
        if (count($answers) < 2 || $answers[0]->outcome->flow() !== Flow::Yes || $first < self::CLEAR * ($answers[1]->expectedPeakKw() ?? 0.0)) {
            return null;
        }

        return new Drill(
            [Message::of('drill.arrives', vehicle: $vehicle->name)],
            Message::of('drill.stall_to_take'),
            $draw->mixed(array_map(static fn ($a): Choice => new Choice(
                $a->chain->outlet->id, Message::of('link.named', name: $a->chain->outlet->name), $a === $answers[0],
                $a->outcome->flow() === Flow::Yes ? Message::of('drill.gives', kw: Amount::kw($a->expectedPeakKw())) : $a->why(),
            ), $answers)),
            $answers[0],
        );
    }
}
