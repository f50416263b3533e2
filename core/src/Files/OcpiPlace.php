<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Words\Message;

final readonly class OcpiPlace
{
    /**
     * @param  list<OcpiOutlet>  $outlets  one for each kind of connector of the place
     * @param  list<Message>  $notUnderstood  what was left out, and why
     */
    public function __construct(public string $name, public array $outlets, public array $notUnderstood)
    {
    }
}
