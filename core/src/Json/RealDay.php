<?php

declare(strict_types=1);

namespace Harmozon\Core\Json;

/** Days that exist in the calendar: PHP reads 30 February as 2 March. */
final class RealDay
{
    /** Whether a text begins with such a day (ISO 8601, Y-m-d). */
    public static function opens(string $text): bool
    {
        return preg_match('/^(\d{4})-(\d\d)-(\d\d)/', $text, $day) === 1 && checkdate((int) $day[2], (int) $day[3], (int) $day[1]);
    }
}
