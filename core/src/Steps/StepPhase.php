<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Words\Message;

/** The parts of a visit, in their order. */
enum StepPhase: string
{
    case Arrive = 'arrive';
    case Join = 'join';
    case Start = 'start';
    case Run = 'run';
    case Stop = 'stop';
    case Part = 'part';
    case Leave = 'leave';

    public function message(): Message
    {
        return Message::of('step_phase.'.$this->value);
    }
}
