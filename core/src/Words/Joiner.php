<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** How the parts of a list are joined. The value is its pattern's code. */
enum Joiner: string
{
    case And = 'list.and';
    case Comma = 'list.comma';
    case Semicolon = 'list.semicolon';
    case Space = 'list.space';
    case Dot = 'list.dot';
}
