<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** What the seller says an adapter is for. */
enum SoldFor: string
{
    case Ac = 'ac';
    case Dc = 'dc';
    case AnyCar = 'any_car';
    case NotSaid = 'not_said';
}
