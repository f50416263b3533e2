<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** The words of a Locations file that a network may have made up. */
enum TermKind: string
{
    case Standard = 'standard';
    case Status = 'status';
}
