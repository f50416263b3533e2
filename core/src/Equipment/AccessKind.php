<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Who may start a session at an outlet. */
enum AccessKind: string
{
    case Open = 'open';
    case Account = 'account';
    case Makes = 'makes';
    case OwnersOnly = 'owners_only';
}
