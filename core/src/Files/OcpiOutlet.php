<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Words\Message;

/** A connector of an imported place, as an outlet in the words of the case file. */
final readonly class OcpiOutlet
{
    /** @param  array<string, mixed>  $spec */
    public function __construct(public Message $name, public array $spec)
    {
    }
}
