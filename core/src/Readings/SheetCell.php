<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

/** A text of a readings file, escaped so that a spreadsheet doesn't evaluate it; read back it is what was typed. */
final class SheetCell
{
    /** Beginnings that a spreadsheet reads as a formula, after any typed apostrophes. */
    private const FORMULA = "/^'*[=+\\-@\\t\\r]/";

    public static function guarded(string $text): string
    {
        return preg_match(self::FORMULA, $text) === 1 ? "'{$text}" : $text;
    }

    public static function read(string $cell): string
    {
        return str_starts_with($cell, "'") && preg_match(self::FORMULA, $cell) === 1 ? substr($cell, 1) : $cell;
    }
}
