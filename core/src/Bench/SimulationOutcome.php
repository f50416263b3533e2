<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Words\Message;

/** How a simulated session ends. */
enum SimulationOutcome: string
{
    case Charged = 'charged';
    case Stopped = 'stopped';
    case NeverStarted = 'never_started';

    public function message(): Message
    {
        return Message::of('simulation.'.$this->value);
    }
}
