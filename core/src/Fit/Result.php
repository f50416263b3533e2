<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

enum Result: string
{
    case Pass = 'pass';
    case Caution = 'caution';
    case Fail = 'fail';
    case Unknown = 'unknown';
}
