<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Repeatable choices: the same seed draws the same. */
final class Draw
{
    private readonly Randomizer $random;

    public function __construct(public readonly int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)] ?? $of[0];
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return list<T> at most so many of them, in a new order
     */
    public function some(array $of, int $most): array
    {
        return array_slice($this->mixed($of), 0, $most);
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return list<T>
     */
    public function mixed(array $of): array
    {
        return array_values($this->random->shuffleArray($of));
    }

    /** Below 1. */
    public function share(): float
    {
        return $this->random->getInt(0, 999) / 1000;
    }
}
