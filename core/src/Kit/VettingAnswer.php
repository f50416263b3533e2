<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** What an adapter's label, instructions or seller say to one question. */
enum VettingAnswer: string
{
    case Yes = 'yes';
    case No = 'no';
    case NotSaid = 'not_said';
}
