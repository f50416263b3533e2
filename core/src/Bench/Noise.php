<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Repeatable noise: the same seed gives the same wobble on every machine. */
final class Noise
{
    /** Seeds are 31 bits, so that every language and database holds them. */
    public const LARGEST_SEED = 2_147_483_647;

    private const RESOLUTION = 1_000_000;

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** A number in −1 … 1, nearer to 0 more often. */
    public function wobble(): float
    {
        $half = fn (): float => $this->random->getInt(-self::RESOLUTION, self::RESOLUTION) / self::RESOLUTION;

        return ($half() + $half()) / 2;
    }
}
