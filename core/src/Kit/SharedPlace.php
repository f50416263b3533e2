<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** A place where cars that travel at once charge. */
final readonly class SharedPlace
{
    /**
     * @param  list<int>  $pairs  of these cars there
     * @param  array<int, list<array-key>>  $cars  ids of those that each piece serves there, by piece
     */
    private function __construct(public array $pairs, public array $cars)
    {
    }

    /**
     * @param  list<string>  $together  ids of cars
     * @return list<self>
     */
    public static function all(PairTable $table, array $together): array
    {
        $pairs = $serves = [];
        foreach ($table->pairs as $number => $pair) {
            if (! in_array($pair->vehicle->id, $together, true)) {
                continue;
            }
            $pairs[$pair->at->place][] = $number;
            foreach ($pair->ways as $way) {
                if ($way->piece !== Reach::WITHOUT) {
                    $serves[$pair->at->place][$way->piece][$pair->vehicle->id] = true;
                }
            }
        }

        return array_values(array_map(static fn (array $at, int|string $place): self => new self($at, array_map(array_keys(...), $serves[$place] ?? [])), $pairs, array_keys($pairs)));
    }

    /**
     * @param  list<int>  $pieces
     * @return list<int> those that serve any of the cars here
     */
    public function serving(array $pieces): array
    {
        return array_values(array_filter($pieces, fn (int $piece): bool => isset($this->cars[$piece])));
    }
}
