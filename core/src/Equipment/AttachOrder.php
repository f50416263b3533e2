<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** Which side of an adapter goes on first, from its own instructions. */
enum AttachOrder: string
{
    case HandleFirst = 'handle-first';
    case CarFirst = 'car-first';
}
