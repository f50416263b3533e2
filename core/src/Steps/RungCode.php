<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Words\Message;

/** One thing to try when nothing starts. */
enum RungCode: string
{
    case ReadScreens = 'read_screens';
    case JoinAgain = 'join_again';
    case AdapterApart = 'adapter_apart';
    case StartAnotherWay = 'start_another_way';
    case AnotherStall = 'another_stall';
    case NextStop = 'next_stop';

    /** The phase of a DC session, or whatever else, that it tests. */
    public function tests(): string
    {
        return match ($this) {
            self::ReadScreens => 'parameters',
            self::JoinAgain => 'plugged',
            self::AdapterApart => 'pilot',
            self::StartAnotherWay => 'authorise',
            self::AnotherStall => 'station',
            self::NextStop => 'place',
        };
    }

    /** The session's line that says it was tried. */
    public function tried(): Message
    {
        return Message::of('rung_tried.'.$this->value);
    }

    public function testsWords(): Message
    {
        return match ($this) {
            self::ReadScreens => Message::of('rung_tests.parameters'),
            self::JoinAgain => Message::of('rung_tests.plugged'),
            self::AdapterApart => Message::of('rung_tests.pilot'),
            self::StartAnotherWay => Message::of('rung_tests.authorise'),
            self::AnotherStall => Message::of('rung_tests.station'),
            self::NextStop => Message::of('rung_tests.place'),
        };
    }
}
