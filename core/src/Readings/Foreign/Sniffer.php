<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\CsvRecords;
use Harmozon\Core\Readings\NumberColumn;
use Harmozon\Core\Readings\ShortClock;

/** Guesses how a foreign readings file is written, from its first lines. */
final class Sniffer
{
    /** Ways in which clocks are written that ISO 8601 and h:mm:ss do not cover, by what they look like. */
    private const FORMATS = [
        '/^\d{1,2}\.\d{1,2}\.\d{4} \d{1,2}:\d{2}:\d{2}$/' => 'd.m.Y H:i:s',
        '/^\d{1,2}\.\d{1,2}\.\d{4} \d{1,2}:\d{2}$/' => 'd.m.Y H:i',
        '/^\d{1,2}\/\d{1,2}\/\d{4} \d{1,2}:\d{2}:\d{2}$/' => 'd/m/Y H:i:s',
        '/^\d{1,2}\/\d{1,2}\/\d{4} \d{1,2}:\d{2}:\d{2} [AP]M$/i' => 'm/d/Y h:i:s A',
        '/^\d{1,2}\/\d{1,2}\/\d{4} \d{1,2}:\d{2} [AP]M$/i' => 'm/d/Y h:i A',
        '/^\d{10}(\.\d+)?$/' => 'U',
    ];

    /** A count of milliseconds since 1970, from September 2001 on. */
    private const EPOCH_MS = '/^[1-9]\d{12}$/';

    private const FROM_THE_MONTH = 'm/d/Y H:i:s';

    /** @return list<string> ways in which a clock is often written, as of PHP's dates */
    public static function formats(): array
    {
        return [ShortClock::MINUTES, ShortClock::HOURS, ...array_values(self::FORMATS), self::FROM_THE_MONTH, 'Y/m/d H:i:s', 'YmdHis'];
    }

    /**
     * @param  list<string>  $lines  the first ones, the header among them
     * @return Mapping|null null where nothing is found that could be read
     */
    public static function guess(array $lines): ?Mapping
    {
        $encoding = Encoding::of(implode("\n", $lines));
        $records = new CsvRecords(array_map($encoding->toUtf8(...), $lines));
        $rows = array_values(array_filter(iterator_to_array($records), is_array(...)));
        $header = array_shift($rows);
        if ($header === null) {
            return null;
        }
        $delimiter = $records->delimiter();
        $decimal = $delimiter !== ',' && self::hasCommas($rows) ? ',' : '.';
        $columns = [];
        $time = null;
        foreach ($header as $i => $name) {
            $cells = array_values(array_filter(array_map(static fn (array $row): string => $row[$i] ?? '', $rows), static fn (string $c): bool => $c !== ''));
            $map = $name === '' ? null : self::column($name, $cells, $decimal, array_map(static fn (ColumnMap $c): string => $c->field, array_values($columns)));
            if ($map !== null) {
                $columns[$name] = $map;
            } elseif ($time === null && $name !== '' && HeaderWords::isClock($name)) {
                $time = self::isEpochMs($cells) ? new TimeMap($name, 'U', null, true) : new TimeMap($name, self::format($cells));
            }
        }
        $fields = array_map(static fn (ColumnMap $c): string => $c->field, array_values($columns));
        $hasTime = $time !== null || in_array('t_s', $fields, true);

        return ! $hasTime || array_diff($fields, ['t_s']) === [] ? null : new Mapping($delimiter, $decimal, $encoding, $columns, in_array('t_s', $fields, true) ? null : $time);
    }

    /**
     * @param  list<string>  $cells
     * @param  list<string>  $taken
     */
    private static function column(string $name, array $cells, string $decimal, array $taken): ?ColumnMap
    {
        $numbers = array_values(array_filter(array_map(static fn (string $c): string => str_replace($decimal, '.', NumberColumn::ungrouped($c)), $cells), is_numeric(...)));
        $unit = self::unit($name);
        if (self::isEpochMs($cells)) {
            return null;
        }
        if ($cells !== [] && 2 * count($numbers) < count($cells)) {
            return null;
        }
        if (! in_array('t_s', $taken, true) && (HeaderWords::isElapsed($name) || (HeaderWords::isClock($name) && $unit?->fits('t_s') === true))) {
            return new ColumnMap('t_s', $unit?->fits('t_s') === true ? ($unit === ReadingUnit::Seconds ? null : $unit) : self::timeUnit($name));
        }
        $field = HeaderWords::field($name, $unit, $taken);
        if ($field === null) {
            return null;
        }
        $values = array_map(floatval(...), $numbers);
        $negative = count(array_filter($values, static fn (float $v): bool => $v < 0.0));
        $positive = count(array_filter($values, static fn (float $v): bool => $v > 0.0));
        $isShare = $field === 'soc_pct' && $unit === null && $values !== [] && max($values) <= 1.0 && max($values) > 0.0;

        return new ColumnMap(
            $field,
            $isShare ? ReadingUnit::Share : ($unit === ReadingUnit::of($field)[0] ? null : $unit),
            in_array($field, ['amps', 'kw'], true) && $negative > $positive ? -1 : 1,
        );
    }

    /** A unit in brackets, after a comma, or at the end of a header. */
    private static function unit(string $name): ?ReadingUnit
    {
        foreach (['/[\[(]\s*([^\])]+?)\s*[\])]/u', '/[,\/]\s*(\S+)\s*$/u', '/[_ ]([^_ ]+)$/u'] as $pattern) {
            if (preg_match($pattern, $name, $m) === 1 && ReadingUnit::written($m[1]) !== null) {
                return ReadingUnit::written($m[1]);
            }
        }

        return null;
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
        foreach (self::FORMATS as $looks => $format) {
            if ($cells !== [] && preg_match($looks, $cells[0]) === 1) {
                $isFromMonth = $format === 'd/m/Y H:i:s' && array_filter($cells, static fn (string $c): bool => (int) (explode('/', $c)[1] ?? 0) > 12) !== [];

                return $isFromMonth ? self::FROM_THE_MONTH : $format;
            }
        }

        return null;
    }
}
