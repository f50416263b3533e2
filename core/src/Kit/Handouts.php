<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** How pieces were given out among cars that travel at once, worked out once for each place and set of pieces. */
final class Handouts
{
    /** @var array<string, array<int, Reach|null>> ways by pair, by the place and the pieces that matter there */
    public array $ways = [];

    /** @param  bool  $isExact  false as soon as any may not have been given out in the best way */
    public function __construct(public bool $isExact)
    {
    }
}
