<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/** What earlier sessions found wrong at an outlet's stalls, and no good session has lifted since. */
final readonly class PastTrouble
{
    /** @param  non-empty-list<Message>  $trouble */
    public function __construct(public array $trouble)
    {
    }
}
