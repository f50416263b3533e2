<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

final readonly class Access
{
    /** @param  list<string>|null  $makes programmes that are admitted; null when the list is not known */
    public function __construct(public ?AccessKind $kind, public ?array $makes)
    {
    }
}
