<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Integrator;
use Harmozon\Core\Power\HeatLink;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** How long the boost of a piece lasts before it falls to its continuous rating. */
final class BoostLeft implements DrillRule
{
    /** Wrong answers, as multiples of the right one. */
    private const MULTIPLES = [0.4, 1.0, 1.8, 3.0];

    /** A shorter boost is no question (minutes). */
    private const SHORTEST_MINUTES = 3.0;

    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->charging($draw);
        $boosted = array_values(array_filter($best->limits->changing->heat ?? [], static fn (HeatLink $l): bool => $l->duty->boostMinutes !== null));
        if ($best === null || $boosted === []) {
            return null;
        }
        $found = null;
        foreach ((new Forecaster)->forecast($best, $best->conditions)->course->points as $step) {
            foreach ($boosted as $link) {
                $found ??= isset($step->heat->spent[$link->linkId]) ? ['link' => $link, 'minutes' => ($step->tS - Integrator::HANDSHAKE_S) / 60] : null;
            }
        }
        if ($found === null || $found['minutes'] < self::SHORTEST_MINUTES) {
            return null;
        }
        $link = $found['link'];
        $right = round($found['minutes']);
        $name = $best->linkName($link->linkId);

        return new Drill(
            [
                Message::of('drill.at', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name),
                Message::of('drill.boosted', link: $name, boost: Amount::amps($link->duty->boostA), minutes: Amount::minutes($link->duty->boostMinutes), continuous: Amount::amps($link->duty->continuousA), ambient: Amount::celsius($best->conditions->ambientC)),
            ],
            Message::of('drill.boost_left'),
            array_map(static fn (float $m): Choice => new Choice((string) round($m * $right), Message::of('drill.minutes', minutes: Amount::minutes(round($m * $right))), $m === 1.0, $m === 1.0 ? Message::of('drill.boost_why', continuous: Amount::amps($link->duty->effectiveA)) : null), self::MULTIPLES),
            $best,
        );
    }
}
