<?php

declare(strict_types=1);

namespace App\Console;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Options of a command that are whole numbers. */
trait WholeNumberOption
{
    /** Longer ones overflow before they are compared. */
    private const MOST_DIGITS = 12;

    /** @throws FieldError when it is none, or outside */
    private function wholeNumber(string $option, int $least, int $most): int
    {
        $value = $this->option($option);
        if (! is_string($value) || ! ctype_digit($value) || strlen($value) > self::MOST_DIGITS || (int) $value < $least || (int) $value > $most) {
            throw FieldError::at($option, Message::of('field.between', least: Amount::count($least), most: Amount::count($most)));
        }

        return (int) $value;
    }
}
