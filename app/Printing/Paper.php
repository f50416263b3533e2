<?php

declare(strict_types=1);

namespace App\Printing;

use Harmozon\Core\Words\Units;

enum Paper: string
{
    case A4 = 'A4';
    case Letter = 'LETTER';

    public static function usualWith(Units $units): self
    {
        return $units === Units::Us ? self::Letter : self::A4;
    }

    /** ISO 216; ANSI/ASME Y14.1, size A. */
    public function widthMm(): float
    {
        return match ($this) {
            self::A4 => 210.0,
            self::Letter => 215.9,
        };
    }
}
