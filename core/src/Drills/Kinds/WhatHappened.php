<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Words\Message;

/** What the signs of station, car and ear mean. */
final class WhatHappened implements DrillRule
{
    private const MOST_WRONG = 3;

    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->charging($draw);
        $fault = $best === null ? null : FaultDraw::of($best, $draw);
        if ($best === null || $fault === null) {
            return null;
        }
        $others = array_values(array_filter(Fault::cases(), static fn (Fault $f): bool => $f !== $fault && $f->phase() !== $fault->phase()));

        return new Drill(
            FaultDraw::situation($best, $fault),
            Message::of('drill.what_happened'),
            $draw->mixed(array_map(static fn (Fault $f): Choice => new Choice($f->value, $f->message(), $f === $fault), [$fault, ...$draw->some($others, self::MOST_WRONG)])),
            $best,
            new InjectedFault($fault),
        );
    }
}
