<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings;

use Harmozon\Core\Readings\Foreign\LayoutFinder;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * Splits lines into records after RFC 4180: quoted cells may hold delimiters, quotes and line breaks. The delimiter is
 * the one of comma, semicolon and tab that the header uses most. Keeps one record at a time in memory. A quote that is
 * never closed, or closed only after further rows, and a line longer than any row spoil only themselves.
 *
 * @implements \IteratorAggregate<int, list<string>|Message>
 */
final class CsvRecords implements \IteratorAggregate
{
    private const BOM = "\u{FEFF}";

    private const QUOTE = '"';

    /** Possible delimiters; among equally frequent ones the first is taken. */
    public const DELIMITERS = ["\t", ';', '|', ','];

    /** What is trimmed off a cell. */
    private const BLANKS = " \t\v\0";

    /** The longest row of an instrument (bytes). */
    public const LONGEST_LINE_BYTES = 65_536;

    /** A quote that is still open after this many lines was never closed. */
    private const LONGEST_RECORD_LINES = 20;

    /** @var non-empty-string */
    private string $delimiter;

    /** Cells in the header; 0 before it was read. */
    private int $width = 0;

    /**
     * @param  iterable<string>  $lines  with or without their line ends
     * @param  non-empty-string|null  $told  the delimiter; null: the one that the header uses most
     */
    public function __construct(private readonly iterable $lines, private readonly ?string $told = null)
    {
        $this->delimiter = $told ?? ',';
    }

    /** @return non-empty-string */
    public function delimiter(): string
    {
        return $this->delimiter;
    }

    /** @return \Generator<int, list<string>|Message> trimmed cells by the number of the record's first line, from 1; or why it cannot be split */
    public function getIterator(): \Generator
    {
        $number = 0;
        /** @var array<int, string> $waiting lines of a record whose quote is open, by number */
        $waiting = [];
        foreach ($this->lines as $line) {
            $number++;
            if ($number === 1 && str_starts_with($line, self::BOM)) {
                $line = substr($line, strlen(self::BOM));
            }
            if ($number === 1 && LayoutFinder::separator($line) !== null) {
                continue;
            }
            if (strlen($line) > self::LONGEST_LINE_BYTES) {
                yield from $this->settle($waiting, isLast: true);
                yield $number => Message::of('readings.line_too_long', most: Amount::count(self::LONGEST_LINE_BYTES));

                continue;
            }
            if ($waiting === [] && ($line === '' || trim($line) === '')) {
                continue;
            }
            if ($waiting !== [] || $this->width === 0 || str_contains($line, self::QUOTE)) {
                $waiting[$number] = rtrim($line, "\r\n");
                yield from $this->settle($waiting, isLast: false);

                continue;
            }
            $cells = explode($this->delimiter, rtrim($line, "\r\n"));
            if (strpbrk($line, self::BLANKS) !== false) {
                $cells = array_map('trim', $cells);
            }
            if ($cells !== ['']) {
                yield $number => $cells;
            }
        }
        yield from $this->settle($waiting, isLast: true);
    }

    /**
     * The records that are complete so far; the remaining lines wait for more.
     *
     * @param  array<int, string>  $waiting
     * @return \Generator<int, list<string>|Message>
     */
    private function settle(array &$waiting, bool $isLast): \Generator
    {
        while ($waiting !== []) {
            $first = array_key_first($waiting);
            if ($this->width === 0 && trim($waiting[$first]) !== '') {
                $this->delimiter = $this->told ?? self::mostUsed($waiting[$first]);
            }
            $length = $this->recordLines(array_values($waiting));
            if ($length === null && ! $isLast && count($waiting) < self::LONGEST_RECORD_LINES) {
                return;
            }
            $record = implode("\n", array_slice($waiting, 0, $length ?? 1));
            $waiting = array_slice($waiting, $length ?? 1, null, true);
            if (trim($record) !== '') {
                $cells = $length === null ? [] : self::cells($record, $this->delimiter);
                $this->width = $this->width === 0 ? count($cells) : $this->width;
                yield $first => $length === null ? Message::of('readings.open_quote') : $cells;
            }
        }
    }

    /**
     * How many lines make up the first record; null when its quote isn't closed, or only in a line that is a row by
     * itself.
     *
     * @param  list<string>  $lines
     */
    private function recordLines(array $lines): ?int
    {
        $record = '';
        foreach (array_slice($lines, 0, self::LONGEST_RECORD_LINES) as $i => $line) {
            if ($i > 0 && $this->looksLikeRow($line)) {
                return null;
            }
            $record .= ($i === 0 ? '' : "\n").$line;
            if (! $this->isOpen($record)) {
                return $i + 1;
            }
        }

        return null;
    }

    private function looksLikeRow(string $line): bool
    {
        return $this->width > 1 && substr_count($line, $this->delimiter) === $this->width - 1 && preg_match('/^\s*"?\d/', $line) === 1;
    }

    /** Whether a cell that begins with a quote is not closed. */
    private function isOpen(string $record): bool
    {
        $at = 0;
        while (true) {
            $at += strspn($record, ' ', $at);
            if (($record[$at] ?? '') === self::QUOTE) {
                do {
                    $end = strpos($record, self::QUOTE, $at + 1);
                    if ($end === false) {
                        return true;
                    }
                    $at = $end + 1;
                } while (($record[$at] ?? '') === self::QUOTE);
            }
            $next = strpos($record, $this->delimiter, $at);
            if ($next === false) {
                return false;
            }
            $at = $next + 1;
        }
    }

    /**
     * @param  non-empty-string  $delimiter
     * @return list<string> trimmed
     */
    public static function cells(string $record, string $delimiter): array
    {
        return array_map(static fn (?string $cell): string => trim($cell ?? ''), str_getcsv($record, $delimiter, self::QUOTE, ''));
    }

    /** @return non-empty-string that of the delimiters which a line uses most */
    public static function mostUsed(string $header): string
    {
        $uses = [];
        foreach (self::DELIMITERS as $delimiter) {
            $uses[$delimiter] = substr_count($header, $delimiter);
        }
        arsort($uses);

        return array_key_first($uses);
    }
}
