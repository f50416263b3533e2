<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\CsvRecords;
use Harmozon\Core\Readings\NumberColumn;
use Harmozon\Core\Readings\ShortClock;

/** Guesses how a foreign readings file is written, from its first lines. */
final class FormatGuess
{
    /** Patterns of dates that ISO 8601 doesn't cover. */
    private const DATES = [
        '\d{1,2}\.\d{1,2}\.\d{4}' => 'd.m.Y',
        '\d{1,2}\.\d{1,2}\.\d{2}' => 'd.m.y',
        '\d{1,2}\/\d{1,2}\/\d{4}' => 'd/m/Y',
        '\d{1,2}\/\d{1,2}\/\d{2}' => 'd/m/y',
        '\d{1,2}-\d{1,2}-\d{4}' => 'd-m-Y',
        '\d{4}\/\d{1,2}\/\d{1,2}' => 'Y/m/d',
        '\d{4}\.\d{1,2}\.\d{1,2}' => 'Y.m.d',
        '\d{4}-\d{1,2}-\d{1,2}' => 'Y-m-d',
    ];

    /** Patterns of clock times. */
    private const HOURS = [
        '\d{1,2}:\d{2}:\d{2}' => 'H:i:s',
        '\d{1,2}:\d{2}:\d{2}\.\d+' => 'H:i:s.u',
        '\d{1,2}:\d{2}' => 'H:i',
        '\d{1,2}:\d{2}:\d{2} [AP]M' => 'h:i:s A',
        '\d{1,2}:\d{2} [AP]M' => 'h:i A',
    ];

    private const DATE = '/^(?:\d{1,2}([.\/-])\d{1,2}\1(?:\d{4}|\d{2})|\d{4}([.\/-])\d{1,2}\2\d{1,2})$/';

    private const HOUR = '/^\d{1,2}:\d{2}(?::\d{2}(?:[.,]\d+)?)?(?: ?[ap]\.?m\.?)?$/i';

    /** Seconds since 1970. */
    private const EPOCH = '/^\d{10}(\.\d+)?$/';

    /** A count of milliseconds since 1970, from September 2001 on. */
    private const EPOCH_MS = '/^[1-9]\d{12}$/';

    /** @return list<string> ways in which a clock is often written, as of PHP's dates */
    public static function formats(): array
    {
        return [ShortClock::MINUTES, ShortClock::HOURS, 'd.m.Y H:i:s', 'd.m.Y H:i', 'd/m/Y H:i:s', 'm/d/Y H:i:s', 'm/d/Y h:i:s A', 'm/d/Y h:i A', 'Y/m/d H:i:s', 'YmdHis', 'U'];
    }

    /**
     * @param  list<string>  $lines  the first ones, the header among them
     * @return Mapping|null null where nothing is found that could be read
     *
     * @throws AmbiguousFile where the power may be W or kW, or a temperature °C or °F
     */
    public static function guess(array $lines): ?Mapping
    {
        [$mapping, $first] = self::found($lines);
        $fields = array_map(static fn (ColumnMap $c): string => $c->field, array_values($mapping->columns ?? []));
        $hasTime = $mapping?->time !== null || in_array('t_s', $fields, true);

        return $mapping === null || ! $hasTime || array_diff($fields, ['t_s']) === [] ? null : WarmthUnit::settle(PowerUnit::settle($mapping, $first), $first);
    }

    /**
     * What is known of a file that can't be read as it is.
     *
     * @param  list<string>  $lines  the first ones, the header among them
     * @return Mapping|null null where no column is known
     */
    public static function begun(array $lines): ?Mapping
    {
        $mapping = self::found($lines)[0];

        return $mapping === null || ($mapping->columns === [] && $mapping->time === null) ? null : $mapping;
    }

    /**
     * @param  list<string>  $lines
     * @return array{Mapping|null, FirstRows} null where there is no header
     */
    private static function found(array $lines): array
    {
        $encoding = Encoding::of(implode("\n", $lines));
        $decoded = array_map($encoding->toUtf8(...), $lines);
        $layout = LayoutFinder::of($decoded);
        $records = new CsvRecords($layout->table($decoded), $layout->delimiter);
        $rows = array_values(array_filter(iterator_to_array($records, false), is_array(...)));
        $header = array_shift($rows);
        if ($header === null) {
            return [null, new FirstRows([], [])];
        }
        $rows = $layout->hasUnits ? array_slice($rows, 1) : $rows;
        $delimiter = $records->delimiter();
        $decimal = self::hasCommas($rows) ? ',' : '.';
        $columns = [];
        $time = self::twoColumns($header, $rows);
        foreach (self::surestFirst($header) as $i => $name) {
            $cells = array_values(array_filter(array_map(static fn (array $row): string => $row[$i] ?? '', $rows), static fn (string $c): bool => $c !== ''));
            if (in_array($name, $time?->columns() ?? [], true)) {
                continue;
            }
            $map = $name === '' ? null : self::column($name, $i === 0, $layout->unit($i), $cells, array_map(static fn (ColumnMap $c): string => $c->field, array_values($columns)));
            if ($map !== null) {
                $columns[$name] = $map;
            } elseif ($time === null && $name !== '' && HeaderWords::isClock($name) && ToldUnit::inHeader($name)->unknown === '') {
                $time = self::isEpochMs($cells) ? new TimeMap($name, 'U', null, true) : new TimeMap($name, self::format($cells));
            }
        }
        $first = new FirstRows($header, $rows);
        uksort($columns, static fn (string|int $a, string|int $b): int => $first->position($a) <=> $first->position($b));
        $isElapsed = array_filter($columns, static fn (ColumnMap $c): bool => $c->field === 't_s') !== [];

        return [new Mapping($delimiter, $decimal === $delimiter ? '.' : $decimal, $encoding, $columns, $isElapsed ? null : $time, $layout), $first];
    }

    /**
     * Those of another place come last, and take a field only where no other column does.
     *
     * @param  list<string>  $header
     * @return array<int, string>
     */
    private static function surestFirst(array $header): array
    {
        $isLate = static fn (string $name): bool => HeaderWords::isAside($name);

        return array_filter($header, static fn (string $name): bool => ! $isLate($name)) + array_filter($header, $isLate);
    }

    /**
     * @param  ToldUnit|null  $below  in the row of units; where the header says another, or either says one that isn't known, the column is left for somebody to tell
     * @param  list<string>  $cells
     * @param  list<string>  $taken
     */
    private static function column(string $name, bool $isFirst, ?ToldUnit $below, array $cells, array $taken): ?ColumnMap
    {
        $values = array_values(array_filter(array_map(NumberColumn::figure(...), $cells), is_float(...)));
        $named = ToldUnit::inHeader($name);
        $isTwice = $below?->unit !== null && $named->unit !== null && $below->unit !== $named->unit;
        if ($isTwice || ($below->unknown ?? '') !== '' || ($named->unknown !== '' && $below?->unit === null) || self::isEpochMs($cells)) {
            return null;
        }
        $unit = $below->unit ?? $named->unit;
        if ($cells !== [] && 2 * count($values) < count($cells)) {
            return null;
        }
        if (! in_array('t_s', $taken, true) && (HeaderWords::isElapsed($name) || ($isFirst && HeaderWords::isUnitOfTime($name)) || (HeaderWords::isClock($name) && $unit?->fits('t_s') === true))) {
            return new ColumnMap('t_s', $unit?->fits('t_s') === true ? ($unit === ReadingUnit::Seconds ? null : $unit) : self::timeUnit($name));
        }
        $field = HeaderWords::field($name, $unit, $taken);
        if ($field === null) {
            return null;
        }
        $negative = count(array_filter($values, static fn (float $v): bool => $v < 0.0));
        $positive = count(array_filter($values, static fn (float $v): bool => $v > 0.0));
        $isShare = $field === 'soc_pct' && $unit === null && $values !== [] && max($values) <= 1.0 && max($values) > 0.0;

        return new ColumnMap(
            $field,
            $isShare ? ReadingUnit::Share : ($unit === ReadingUnit::of($field)[0] ? null : $unit),
            in_array($field, ['amps', 'kw'], true) && $negative > $positive ? -1 : 1,
        );
    }

    /**
     * A date column and a clock column.
     *
     * @param  list<string>  $header
     * @param  list<list<string>>  $rows
     */
    private static function twoColumns(array $header, array $rows): ?TimeMap
    {
        $date = $hour = null;
        foreach ($header as $i => $name) {
            $cell = array_values(array_filter(array_column($rows, $i), static fn (string $c): bool => $c !== ''))[0] ?? '';
            if (! HeaderWords::isClock($name)) {
                continue;
            }
            $date ??= preg_match(self::DATE, $cell) === 1 ? $i : null;
            $hour ??= preg_match(self::HOUR, $cell) === 1 ? $i : null;
        }
        if ($date === null || $hour === null || $header[$date] === $header[$hour]) {
            return null;
        }
        $both = array_map(static fn (array $row): string => ($row[$date] ?? '').' '.($row[$hour] ?? ''), $rows);

        return new TimeMap($header[$date], self::format($both), hourColumn: $header[$hour]);
    }

    private static function timeUnit(string $name): ?ReadingUnit
    {
        return HeaderWords::isOfMinutes($name) ? ReadingUnit::Minutes : null;
    }

    /** @param  list<list<string>>  $rows */
    private static function hasCommas(array $rows): bool
    {
        $commas = $points = 0;
        foreach ($rows as $row) {
            foreach (array_map(NumberColumn::ungrouped(...), $row) as $cell) {
                $commas += preg_match('/^-?\d+,\d+$/', $cell) === 1 ? 1 : 0;
                $points += preg_match('/^-?\d+\.\d+$/', $cell) === 1 ? 1 : 0;
            }
        }

        return $commas > $points;
    }

    /** @param  list<string>  $cells */
    private static function isEpochMs(array $cells): bool
    {
        return preg_match(self::EPOCH_MS, $cells[0] ?? '') === 1;
    }

    /**
     * @param  list<string>  $cells
     * @return string|null null for ISO 8601 and h:mm:ss
     */
    private static function format(array $cells): ?string
    {
        $first = $cells[0] ?? '';
        if (preg_match(self::EPOCH, $first) === 1) {
            return 'U';
        }
        foreach (self::DATES as $date => $dayFormat) {
            foreach (self::HOURS as $hour => $hourFormat) {
                if (preg_match("/^{$date} {$hour}$/i", $first) !== 1) {
                    continue;
                }
                // What ISO 8601 covers needs no format.
                $isIso = $dayFormat === 'Y-m-d' && ! str_contains($hourFormat, 'A') && preg_match('/^\d{4}-\d\d-\d\d \d\d:/', $first) === 1;

                return $isIso ? null : self::fromTheMonth($dayFormat, str_contains($hourFormat, 'A'), $cells)." {$hourFormat}";
            }
        }

        return null;
    }

    /**
     * A date with slashes begins with the month if a second part exceeds 12, or, where no part does, if the clock uses
     * AM and PM.
     *
     * @param  list<string>  $cells
     */
    private static function fromTheMonth(string $dayFormat, bool $hasHalves, array $cells): string
    {
        if (! str_starts_with($dayFormat, 'd/m')) {
            return $dayFormat;
        }
        $beyond = static fn (int $part): bool => array_filter($cells, static fn (string $c): bool => (int) (explode('/', $c)[$part] ?? 0) > 12) !== [];
        $isFromMonth = $beyond(1) || ($hasHalves && ! $beyond(0));

        return $isFromMonth ? 'm/d'.substr($dayFormat, 3) : $dayFormat;
    }
}
