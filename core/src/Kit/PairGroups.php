<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** Pairs by car and place, for counting second ways. */
final readonly class PairGroups
{
    /**
     * @param  list<int>  $of  the group of each pair
     * @param  list<string>  $cars  the car of each group
     * @param  list<int>  $outlets  how many outlets the place of each group has
     */
    private function __construct(public array $of, private array $cars, private array $outlets, private bool $isTour)
    {
    }

    /** @param  list<Pair>  $pairs */
    public static function of(array $pairs, bool $isTour): self
    {
        $numbers = $of = $cars = $outlets = [];
        foreach ($pairs as $pair) {
            $key = "{$pair->vehicle->id}\n{$pair->at->place}";
            $number = $numbers[$key] ??= count($numbers);
            $of[] = $number;
            $cars[$number] = $pair->vehicle->id;
            $outlets[$number] = ($outlets[$number] ?? 0) + 1;
        }

        return new self($of, array_values($cars), array_values($outlets), $isTour);
    }

    public function count(): int
    {
        return count($this->cars);
    }

    /**
     * Pairs with a second way: another outlet of the same place where the car charges, too, or another stop of the tour
     * where the place has only one outlet.
     *
     * @param  array<int, int>  $covered  pairs that charge, by group
     */
    public function second(array $covered): int
    {
        $byCar = [];
        foreach ($this->isTour ? $this->cars : [] as $group => $car) {
            $byCar[$car] = ($byCar[$car] ?? 0) + $covered[$group];
        }
        $second = 0;
        foreach ($this->outlets as $group => $outlets) {
            $count = $covered[$group];
            $second += match (true) {
                $count >= 2 => $count,
                $count === 1 && $outlets === 1 && ($byCar[$this->cars[$group]] ?? 0) >= 2 => 1,
                default => 0,
            };
        }

        return $second;
    }
}
