<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** Why a forecast goes no further. */
enum EndCause
{
    case Reached;
    case NothingFlows;
    /** The car takes more for itself than arrives. */
    case ChargeFalls;
    case TooLong;
}
