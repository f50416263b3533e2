<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** How a cabinet divides its power between two stalls. */
enum SharingPolicy: string
{
    case Halves = 'halves';
    case FirstCome = 'first_come';
    case Modules = 'modules';
}
