<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** What was read from a Locations file. */
final readonly class LocationsFile
{
    /**
     * @param  list<FilePlace>  $places
     * @param  list<ForeignTerm>  $foreign  every word that the interface does not know, assigned or not
     */
    public function __construct(public array $places, public array $foreign, public PricesRead $prices)
    {
    }
}
