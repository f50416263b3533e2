<?php

declare(strict_types=1);

return [
    // Joining.
    'list.and' => ' and ',
    'list.comma' => ', ',
    'list.semicolon' => '; ',
    'list.space' => ' ',
    'list.dot' => ' · ',
    'amount.hours' => '{hours} h {minutes} min',
    'amount.range' => '{least} to {most} {unit}',
    'amount.range_bare' => '{least} to {most}',

    // Fields that cannot be accepted.
    'value.curve_empty' => 'needs at least one [soc, value] pair',
    'value.curve_rises' => 'the state of charge must rise from one point to the next',
    'value.boost_low' => 'the boost rating ({boost}) must not be below the continuous rating ({continuous})',
    'value.boost_minutes' => 'a boost rating needs the minutes it may last',
    'value.limit_low' => 'the temperature limit ({limit}) must be above the rated ambient temperature ({rated})',
    'value.no_inlet' => 'vehicle {vehicle} has no inlet {index}',
];
