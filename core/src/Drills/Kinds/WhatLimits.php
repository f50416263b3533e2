<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Power\LinkKind;
use Harmozon\Core\Words\Message;

/** Which piece of a chain limits its power. */
final class WhatLimits implements DrillRule
{
    /** Without the piece that limits it a chain has to give at least so many times as much, or two limit it alike. */
    private const CLEAR = 1.1;

    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->charging($draw);
        if ($best === null || $best->peak === null || $best->limits === null) {
            return null;
        }
        $peak = $best->peak;
        $kwAt = $best->limits->without($peak->linkId)->kwAt($peak->soc);
        $links = array_values(array_filter($best->links(), static fn (Link $l): bool => $l->kind !== LinkKind::Pack || $peak->linkId === $l->id || $best->chain->vehicle->chargeCurveKw !== null));
        if (($kwAt ?? INF) < self::CLEAR * $peak->kw || count($links) < 2 || array_filter($links, static fn (Link $l): bool => $l->id === $peak->linkId) === []) {
            return null;
        }

        return new Drill(
            [
                Message::of('drill.at', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name),
                ...array_map(static fn (Link $l): Message => Message::of('drill.rated', link: $l->name, plate: $l->plateLine), $links),
            ],
            Message::of('drill.what_limits'),
            array_map(static fn (Link $l): Choice => new Choice($l->id, $l->name, $l->id === $peak->linkId, $l->id === $peak->linkId ? $best->why() : null), $links),
            $best,
        );
    }
}
