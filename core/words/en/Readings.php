<?php

declare(strict_types=1);

return [
    'readings.short_clock' => 'column "{column}": {example} is {short} or {long}, and nothing in the file tells which. A mapping with {mapping} settles it, or with {other} in place of the format',
    'readings.as_minutes' => '{minutes} min {seconds} s',
    'readings.as_hours' => '{hours} h {minutes} min',
    // Readings and places from files.
    'mapping.delimiter' => 'is none of comma, semicolon, tab and |',
    'mapping.decimal' => 'is neither a point nor a comma',
    'mapping.same_sign' => 'the same sign cannot part cells and decimals',
    'mapping.field_twice' => 'two columns hold the same field',
    'mapping.unit' => '{field} is not counted in {unit}',
    'mapping.sign' => 'is neither 1 nor -1',
    'mapping.zone' => 'is no time zone such as Europe/Oslo',
    'mapping.no_column' => 'the file has no column "{name}"',
    'mapping.not_time' => '"{text}" is not written as {format}',
    'readings.empty' => 'the file is empty',
    'readings.header_twice' => 'the header names "{name}" twice',
    'readings.header_time' => 'the header needs a column t_s (seconds) or time',
    'readings.header_values' => 'the header names none of {known}',
    'readings.open_quote' => 'a quotation mark is opened and not closed',
    'readings.blank_so_far' => 'nothing was found in its first {lines, number} lines',
    'readings.line_too_long' => 'is longer than {most, number} bytes: no row of readings is that long',
    'readings.more_cells' => 'has more cells than the header',
    'readings.not_utf8' => 'is not UTF-8',
    'readings.no_value' => 'holds no value',
    'readings.no_value_typed' => 'holds no value: give at least one of charge, volts, amps, kW or a temperature',
    'readings.not_time' => '"{text}" is neither ISO 8601 nor h:mm:ss',
    'readings.outside_as' => '{value}, read as {as}, is outside {range}',
    'readings.before_first' => 'lies before the first row',
    'readings.before_plugging_in' => 'lies before plugging in',
    'readings.not_number' => '"{text}" is not a number',
];
