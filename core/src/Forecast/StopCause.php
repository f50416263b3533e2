<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** Why a forecast goes no further. */
enum StopCause: string
{
    case Reached = 'reached';
    case NothingFlows = 'nothing_flows';
    case TooLong = 'too_long';
}
