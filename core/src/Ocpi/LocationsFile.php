<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Words\Message;

/** What was read of a Locations file. */
final readonly class LocationsFile
{
    /**
     * @param  list<FilePlace>  $places
     * @param  list<ForeignTerm>  $foreign  every word that the interface does not know, assigned or not
     * @param  list<Message>  $leftOut  locations that are no places to charge, and why
     */
    public function __construct(public array $places, public array $foreign, public array $leftOut = [])
    {
    }
}
