<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** What a driver may value most in a stop. */
enum RankOrder: string
{
    case Time = 'time';
    case Money = 'money';
    case Risk = 'risk';
}
