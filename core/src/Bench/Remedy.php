<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Words\Message;

/** What somebody at the stall can do about a fault, or wrongly does. */
enum Remedy: string
{
    case ConnectAgain = 'connect_again';
    case AdapterApart = 'adapter_apart';
    case LookAtContacts = 'look_at_contacts';
    case AnotherStall = 'another_stall';
    case StartAnotherWay = 'start_another_way';
    case CheckProtocol = 'check_protocol';
    case CheckRatings = 'check_ratings';
    case StopAndWait = 'stop_and_wait';
    case StepBack = 'step_back';
    case LowerLimit = 'lower_limit';
    case LetItGoOn = 'let_it_go_on';
    case UnlockCar = 'unlock_car';
    case ManualRelease = 'manual_release';
    case CallHelp = 'call_help';
    case Service = 'service';
    case WaitLonger = 'wait_longer';
    case HoldUp = 'hold_up';
    case PullOut = 'pull_out';
    case SecondAdapter = 'second_adapter';
    case RaiseTarget = 'raise_target';
    case WetCloth = 'wet_cloth';
    case UseTools = 'use_tools';

    /** What to do, as a sentence. */
    public function message(): Message
    {
        return Message::of('remedy.'.$this->value);
    }
}
