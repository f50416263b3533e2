<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** The questions for somebody without the car's data sheet, in the order they are asked. */
enum CarQuestion: string
{
    case Inlet = 'inlet';
    case Language = 'language';
    case Pack = 'pack';
    case Energy = 'energy';
    case Peak = 'peak';
    case Onboard = 'onboard';
}
