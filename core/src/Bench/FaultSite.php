<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

/** The piece at which a fault sits. */
enum FaultSite: string
{
    case Station = 'station';
    case Joint = 'joint';
    case Link = 'link';
    case Car = 'car';
}
