<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

/** A line of a CSV file (RFC 4180). */
final class CsvLine
{
    /** @param  list<string>  $cells */
    public static function of(array $cells): string
    {
        return implode(',', array_map(static fn (string $cell): string => preg_match('/[",\r\n]/', $cell) === 1 ? '"'.str_replace('"', '""', $cell).'"' : $cell, $cells))."\r\n";
    }
}
