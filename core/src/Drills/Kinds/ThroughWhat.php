<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Words\Message;

/** Through which adapter of the crate a car charges, or through none. */
final class ThroughWhat implements DrillRule
{
    private const STRAIGHT = 'straight';

    private const MOST_WRONG = 3;

    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->charging($draw);
        if ($best === null || count($best->chain->adapters) > 1 || $garage->adapters === [] || $best->chain->outlet->fittings->attachedAdapter !== null) {
            return null;
        }
        $used = $best->chain->adapters[0] ?? null;
        $ways = array_map(static fn (Adapter $a): array => [$a, $garage->through($best, [$a])], array_values(array_filter($garage->adapters, static fn (Adapter $a): bool => $a->id !== $used?->id)));
        // What charges, too, or only may, is no wrong answer.
        $wrong = array_values(array_filter($ways, static fn (array $way): bool => $way[1]->outcome->flow() === Flow::No));
        $straight = $garage->through($best, []);
        if ($used !== null && $straight->outcome->flow() !== Flow::No) {
            return null;
        }
        $choices = [
            self::choice($used, $best, true),
            ...($used === null ? [] : [self::choice(null, $straight, false)]),
            ...array_map(static fn (array $way): Choice => self::choice($way[0], $way[1], false), $draw->some($wrong, self::MOST_WRONG)),
        ];

        return count($choices) < 2 ? null : new Drill(
            [Message::of('drill.at', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name)],
            Message::of('drill.through_what'),
            $draw->mixed($choices),
            $best,
        );
    }

    private static function choice(?Adapter $adapter, ChainAnswer $answer, bool $isRight): Choice
    {
        return new Choice($adapter->id ?? self::STRAIGHT, $adapter === null ? Message::of('drill.straight') : Message::of('link.named', name: $adapter->name), $isRight, $isRight ? null : $answer->why());
    }
}
