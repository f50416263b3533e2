<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Whether a temperature is too hot for a surface that is touched. */
enum TemperatureState: string implements Term
{
    case Within = 'within';
    case Caution = 'caution';
    case Over = 'over';
    case NotMeasured = 'not_measured';

    public function message(): Message
    {
        return Message::of('temperature_state.'.$this->value);
    }
}
