<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\NumberColumn;

/** Whether temperatures whose unit is not told are in °C or °F, by what stands in the file. */
final class WarmthUnit
{
    /** No air is warmer (°C). */
    private const WARMEST_AIR_C = 60.0;

    /** What nothing beside a car has when a recording begins, in °C (°C). As °F it is a cool day. */
    private const WARM_START_C = 50.0;

    /**
     * @param  list<string>  $header
     * @param  list<list<string>>  $rows  the first ones
     *
     * @throws AmbiguousFile where nothing tells
     */
    public static function settle(Mapping $mapping, array $header, array $rows): Mapping
    {
        $untold = [];
        foreach ($mapping->columns as $name => $column) {
            $at = (int) array_search((string) $name, $header, true);
            $cells = array_map(static fn (array $row): string => $row[$at] ?? '', $rows);
            $values = array_values(array_filter(array_map(NumberColumn::figure(...), $cells), is_float(...)));
            if (str_ends_with($column->field, '_c') && $values !== [] && ! ToldUnit::isTold($mapping, (string) $name, $header, $cells)) {
                $untold[(string) $name] = ['field' => $column->field, 'values' => $values, 'first' => $cells[0] ?? ''];
            }
        }
        if ($untold === []) {
            return $mapping;
        }
        $in = static fn (ReadingUnit $unit): Mapping => array_reduce(array_map(strval(...), array_keys($untold)), static fn (Mapping $m, string $name): Mapping => $m->withUnit($name, $unit), $mapping);
        foreach ($untold as $of) {
            if ($of['field'] === 'ambient_c' && max($of['values']) > self::WARMEST_AIR_C) {
                return $in(ReadingUnit::Fahrenheit);
            }
        }
        if (min(array_merge(...array_column($untold, 'values'))) < self::WARM_START_C) {
            return $mapping;
        }
        $name = (string) array_key_first($untold);

        throw AmbiguousFile::ofUnits($untold[$name]['first'], $name, [ReadingUnit::Fahrenheit, ReadingUnit::Celsius], $in);
    }
}
