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
    'amount.range' => '{least} … {most} {unit}',
    'amount.range_bare' => '{least} … {most}',

    // Fields that cannot be accepted.
    'value.curve_empty' => 'needs at least one [soc, value] pair',
    'value.curve_rises' => 'states of charge must rise from point to point',
    'value.boost_low' => 'boost amps ({boost}) cannot be below continuous amps ({continuous})',
    'value.boost_minutes' => 'boost amps need the minutes they may last',
    'value.limit_low' => 'the allowed temperature ({limit}) must be above the rated ambient ({rated})',
    'value.no_inlet' => 'vehicle {vehicle} has no inlet {index}',
];
