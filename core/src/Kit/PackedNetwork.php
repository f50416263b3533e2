<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\SetUpStep;

/** A network that a tour charges at, and what is left to set up before leaving. */
final readonly class PackedNetwork
{
    /**
     * @param  list<string>  $places  ids of those that need it, in the order of the stops
     * @param  list<SetUpStep>  $toDo  known to be missing
     * @param  list<SetUpStep>  $have  done, so that they have to be there: an app, a card
     * @param  bool  $isLookedAt  whether every step has been checked
     * @param  string|null  $helpLine  its telephone number for drivers; null when not read
     */
    public function __construct(public string $name, public array $places, public array $toDo, public array $have, public bool $isLookedAt, public ?string $helpLine)
    {
    }
}
