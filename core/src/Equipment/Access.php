<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

final readonly class Access
{
    /**
     * @param  list<string>|null  $makes  programmes that are admitted; null when the list is not known
     * @param  string|null  $network  whose account starts a session; null when not known
     */
    public function __construct(public ?AccessKind $kind, public ?array $makes, public ?string $network = null)
    {
    }
}
