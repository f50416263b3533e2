<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Words\Message;

/** How far the prices of a Locations file are known. */
final readonly class PricesRead
{
    /**
     * @param  int  $named  tariffs that its connectors name
     * @param  int  $found  how many of them a Tariffs file has a price for
     * @param  list<Message>  $leftOpen  what of the Tariffs file was not used, and why
     */
    public function __construct(public int $named, public int $found, public array $leftOpen)
    {
    }
}
