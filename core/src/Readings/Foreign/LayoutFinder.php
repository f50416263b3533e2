<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\CsvRecords;
use Harmozon\Core\Readings\Layout;
use Harmozon\Core\Readings\ReadingColumns;

/** Finds the header of a readings file after any introductory lines, and the row of units below it. */
final class LayoutFinder
{
    private const BOM = "\u{FEFF}";

    /** The line that names the delimiter for spreadsheets. */
    private const SEP = '/^"?sep=(.)"?\s*$/i';

    /** A cell of a title or a data row, not of a header. */
    private const FIGURE = '/^[-+]?\d[\d.,:\/TZ -]*[°%a-z]{0,3}$/i';

    /** @param  list<string>  $lines  the first ones, in UTF-8 */
    public static function of(array $lines): Layout
    {
        $lines[0] = str_starts_with($lines[0] ?? '', self::BOM) ? substr($lines[0], strlen(self::BOM)) : $lines[0] ?? '';
        $told = self::separator($lines[0]);
        $header = self::header($lines, $told);
        if ($header === null) {
            return new Layout($told === null ? 0 : 1, $told);
        }
        [$at, $delimiter] = $header;
        $units = [];
        foreach (array_slice($lines, $at + 1) as $line) {
            if (trim($line) !== '') {
                $units = self::units(CsvRecords::cells(rtrim($line, "\r\n"), $delimiter));
                break;
            }
        }

        return new Layout($at, $told, $units !== [], $units);
    }

    /**
     * The delimiter named by a `sep=` line.
     *
     * @return non-empty-string|null
     */
    public static function separator(string $line): ?string
    {
        return preg_match(self::SEP, rtrim($line, "\r\n"), $m) === 1 && in_array($m[1], CsvRecords::DELIMITERS, true) ? $m[1] : null;
    }

    /**
     * @param  list<string>  $lines
     * @param  non-empty-string|null  $told
     * @return array{int, non-empty-string}|null which line it is, and what stands between its cells
     */
    private static function header(array $lines, ?string $told): ?array
    {
        foreach ($lines as $i => $line) {
            $isTold = $i === 0 && $told !== null;
            if (trim($line) === '' || $isTold) {
                continue;
            }
            $delimiter = $told ?? CsvRecords::mostUsed($line);
            if (self::isHeader(CsvRecords::cells(rtrim($line, "\r\n"), $delimiter))) {
                return [$i, $delimiter];
            }
        }

        return null;
    }

    /** @param  list<string>  $cells */
    private static function isHeader(array $cells): bool
    {
        $named = array_values(array_filter($cells, static fn (string $c): bool => $c !== ''));
        if (count($named) < 2 || array_filter($named, static fn (string $c): bool => preg_match(self::FIGURE, $c) === 1) !== []) {
            return false;
        }
        if (ReadingColumns::knows($cells)) {
            return true;
        }
        $clocks = array_filter($named, static fn (string $c, int $i): bool => HeaderWords::isClock($c) || HeaderWords::isElapsed($c) || ($i === 0 && HeaderWords::isUnitOfTime($c)), ARRAY_FILTER_USE_BOTH);
        $others = array_filter(array_diff_key($named, $clocks), static fn (string $c): bool => HeaderWords::field($c, ToldUnit::inHeader($c)->unit, []) !== null);

        return $clocks !== [] && $others !== [];
    }

    /**
     * @param  list<string>  $cells
     * @return list<ToldUnit> none where it is no row of units
     */
    private static function units(array $cells): array
    {
        $units = [];
        foreach ($cells as $cell) {
            $told = ToldUnit::below($cell);
            if ($told === null) {
                return [];
            }
            $units[] = $told;
        }
        $known = array_filter($units, static fn (ToldUnit $t): bool => $t->unit !== null);

        return $known === [] ? [] : $units;
    }
}
