<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Words\Message;

/** Whose rating plate to read before a chain can be judged. */
final class PlateToRead implements DrillRule
{
    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->any($draw)->best;
        if ($best->outcome !== Outcome::Unverified) {
            return null;
        }
        $missing = array_merge(...array_map(static fn ($g): array => $g->missing, $best->gates()));
        $pieces = array_values(array_unique(array_map(static fn (UnreadFact $f): string => $f->piece, $missing)));
        $names = [$best->chain->outlet->id => $best->chain->outlet->name, $best->chain->vehicle->id => $best->chain->vehicle->name];
        foreach ($best->chain->adapters as $adapter) {
            $names[$adapter->id] = $adapter->name;
        }
        if (count($pieces) !== 1 || ! isset($names[$pieces[0]])) {
            return null;
        }
        $facts = UnreadFact::facts(array_values($missing));

        return new Drill(
            [
                Message::of('drill.at', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name),
                ...array_map(static fn (Link $l): Message => Message::of('drill.rated', link: $l->name, plate: $l->plateLine), $best->links()),
            ],
            Message::of('drill.plate_to_read'),
            array_map(static fn (int|string $id, string $name): Choice => new Choice((string) $id, Message::of('link.named', name: $name), (string) $id === $pieces[0], (string) $id === $pieces[0] ? Message::of('drill.missing', facts: $facts) : null), array_keys($names), array_values($names)),
            $best,
        );
    }
}
