<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** How a file changes an outlet or a place. */
enum ChangeKind: string
{
    case New = 'new';
    case Changed = 'changed';
    case Same = 'same';
    /** It came from this network, whose file no longer has it. */
    case Gone = 'gone';
    /** Somebody here deleted it, so it stays deleted. */
    case Aside = 'aside';
}
