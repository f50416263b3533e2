<?php

declare(strict_types=1);

namespace Tests\Attack;

/** Few in the suite, many on demand (`./harmozon attack`). */
final class Rounds
{
    public static function of(int $few, int $many): int
    {
        return getenv('HARMOZON_ATTACK') === 'long' ? $many : $few;
    }
}
