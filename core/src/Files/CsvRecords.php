<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

/**
 * Splits lines into records after RFC 4180: quoted cells may hold delimiters, quotes and line breaks. The delimiter is
 * the one of comma, semicolon and tab that the header uses most. Reads one record at a time.
 *
 * @implements \IteratorAggregate<int, list<string>>
 */
final class CsvRecords implements \IteratorAggregate
{
    private const BOM = "\u{FEFF}";

    /** A quote that is still open after so many lines was never closed. */
    private const LONGEST_RECORD_LINES = 20;

    private string $delimiter = ',';

    /** @param  iterable<string>  $lines with or without their line ends */
    public function __construct(private readonly iterable $lines)
    {
    }

    public function delimiter(): string
    {
        return $this->delimiter;
    }

    /** @return \Generator<int, list<string>> cells by the number of the record's first line, from 1 */
    public function getIterator(): \Generator
    {
        $number = $start = 0;
        $record = '';
        $isHeader = true;
        foreach ($this->lines as $line) {
            $number++;
            if ($number === 1 && str_starts_with($line, self::BOM)) {
                $line = substr($line, strlen(self::BOM));
            }
            $line = rtrim($line, "\r\n");
            if ($record === '') {
                $start = $number;
                $record = $line;
            } else {
                $record .= "\n".$line;
            }
            $isOpen = substr_count($record, '"') % 2 === 1;
            if ($isOpen && $number - $start < self::LONGEST_RECORD_LINES) {
                continue;
            }
            if (trim($record) !== '') {
                if ($isHeader) {
                    $this->delimiter = self::mostUsed($record);
                    $isHeader = false;
                }
                yield $start => $this->cells($record);
            }
            $record = '';
        }
        if (trim($record) !== '') {
            yield $start => $this->cells($record);
        }
    }

    /** @return list<string> */
    private function cells(string $record): array
    {
        return array_map(static fn (?string $cell): string => trim($cell ?? ''), str_getcsv($record, $this->delimiter, '"', ''));
    }

    private static function mostUsed(string $header): string
    {
        $uses = ['	' => substr_count($header, "\t"), ';' => substr_count($header, ';'), ',' => substr_count($header, ',')];
        arsort($uses);

        return (string) array_key_first($uses);
    }
}
