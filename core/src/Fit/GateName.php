<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** The seven gates, in the order in which a chain passes them. */
enum GateName: string
{
    case Shape = 'shape';
    case Current = 'current';
    case Signalling = 'signalling';
    case Voltage = 'voltage';
    case Access = 'access';
    case Adapter = 'adapter';
    case Reach = 'reach';
}
