<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\NetworkSetUp;
use Harmozon\Core\Equipment\SetUpState;
use Harmozon\Core\Fit\Answer;

/** What to take on a tour: the adapters that its best answers use, and what its networks need. */
final readonly class PackingList
{
    /**
     * @param  list<PackedPiece>  $pieces  in the order of the kit; a station's own adapter stays where it is
     * @param  list<PackedNetwork>  $networks  in the order of the stops
     */
    private function __construct(public array $pieces, public array $networks)
    {
    }

    /**
     * @param  iterable<array{string, Answer}>  $stops  a place's id, and a car's answer at one of its outlets
     * @param  list<Adapter>  $kit
     * @param  list<NetworkSetUp>  $setUps  what is known about the networks
     */
    public static function of(iterable $stops, array $kit, array $setUps = []): self
    {
        $pieces = $networks = [];
        foreach ($stops as [$place, $answer]) {
            if (! $answer->best->outcome->mayFlow()) {
                continue;
            }
            foreach ($answer->best->chain->adapterIds() as $id) {
                $pieces[$id][$place] = true;
            }
            $network = $answer->best->chain->outlet->site->access->network;
            if ($network !== null) {
                $networks[$network][$place] = true;
            }
        }

        return new self(
            array_values(array_map(
                static fn (Adapter $a): PackedPiece => new PackedPiece($a, array_map(strval(...), array_keys($pieces[$a->id]))),
                array_filter($kit, static fn (Adapter $a): bool => isset($pieces[$a->id])),
            )),
            array_map(static fn (int|string $name, array $places): PackedNetwork => self::network((string) $name, array_map(strval(...), array_keys($places)), $setUps), array_keys($networks), array_values($networks)),
        );
    }

    /**
     * @param  list<string>  $places
     * @param  list<NetworkSetUp>  $setUps
     */
    private static function network(string $name, array $places, array $setUps): PackedNetwork
    {
        foreach ($setUps as $setUp) {
            if ($setUp->isCalled($name)) {
                return new PackedNetwork($name, $places, $setUp->in(SetUpState::ToDo), $setUp->in(SetUpState::Done), $setUp->isLookedAt(), $setUp->helpLine);
            }
        }

        return new PackedNetwork($name, $places, [], [], false, null);
    }
}
