<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

enum TemperatureState: string
{
    case Within = 'within';
    case Caution = 'caution';
    case Over = 'over';
    case NotMeasured = 'not_measured';
}
