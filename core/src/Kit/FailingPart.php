<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** A part that may fail. */
enum FailingPart: string
{
    /** A charger, or the only sound stall of it. */
    case Outlet = 'outlet';
    case Network = 'network';
    case Adapter = 'adapter';
}
