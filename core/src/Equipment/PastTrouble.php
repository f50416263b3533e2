<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/** Trouble that earlier sessions had at an outlet's stalls, unless a good session followed. */
final readonly class PastTrouble
{
    /** @param  non-empty-list<Message>  $trouble */
    public function __construct(public array $trouble)
    {
    }
}
