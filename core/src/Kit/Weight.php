<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** How much a question about an adapter weighs. */
enum Weight: string
{
    case High = 'high';
    case Medium = 'medium';
    case Low = 'low';
}
