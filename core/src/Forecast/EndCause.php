<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** Why a forecast goes no further. */
enum EndCause
{
    case Reached;
    case NothingFlows;
    /** The car uses more for itself than it receives. */
    case ChargeFalls;
    case TooLong;
}
