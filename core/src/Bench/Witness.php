<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

/** Who tells somebody at the stall what goes on: the station's screen and lights, the car's, and one's own ear. */
enum Witness: string
{
    case Station = 'station';
    case Car = 'car';
    case Ear = 'ear';
}
