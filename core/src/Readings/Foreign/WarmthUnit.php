<?php

declare(strict_types=1);

namespace Harmozon\Core\Readings\Foreign;

use Harmozon\Core\Readings\AmbiguousFile;

/** Whether temperatures whose unit is not told are in °C or °F, by what stands in the file. */
final class WarmthUnit
{
    /** No air is warmer (°C). */
    private const WARMEST_AIR_C = 60.0;

    /** What nothing beside a car has when a recording begins, in °C (°C). As °F it is a cool day. */
    private const WARM_START_C = 50.0;

    /** @throws AmbiguousFile where nothing tells */
    public static function settle(Mapping $mapping, FirstRows $first): Mapping
    {
        $untold = [];
        foreach ($mapping->columns as $name => $column) {
            $values = array_values(array_filter($first->figures($name), is_float(...)));
            if (str_ends_with($column->field, '_c') && $values !== [] && ! $first->sayUnit($mapping, $name)) {
                $untold[(string) $name] = ['field' => $column->field, 'values' => $values];
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

        throw AmbiguousFile::ofUnits($first->cells($name)[0] ?? '', $name, [ReadingUnit::Fahrenheit, ReadingUnit::Celsius], $in);
    }
}
