<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** What stands between the parts of a listing. The value is the code of its pattern. */
enum Joiner: string
{
    case And = 'list.and';
    case Comma = 'list.comma';
    case Semicolon = 'list.semicolon';
    case Space = 'list.space';
    case Dot = 'list.dot';
}
