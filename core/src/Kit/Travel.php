<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** How the cars travel. */
final readonly class Travel
{
    /**
     * @param  list<string>  $together  ids of cars that travel at once: an adapter serves one of them at a place
     * @param  bool  $isTour  whether the places are stops of one tour, so that another stop is a second way
     */
    public function __construct(public array $together = [], public bool $isTour = false)
    {
    }

    public function isTogether(): bool
    {
        return count($this->together) > 1;
    }
}
