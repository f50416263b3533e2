<?php

declare(strict_types=1);

return [
    // Joining.
    'list.and' => ' und ',
    'list.comma' => ', ',
    'list.semicolon' => '; ',
    'list.space' => ' ',
    'list.dot' => ' · ',
    'amount.hours' => '{hours} h {minutes} min',
    'amount.range' => '{least} bis {most} {unit}',
    'amount.range_bare' => '{least} bis {most}',

    // Fields that cannot be accepted.
    'value.curve_empty' => 'braucht mindestens ein Paar [soc, value]',
    'value.curve_rises' => 'der Ladestand muss von Punkt zu Punkt steigen',
    'value.boost_low' => 'der kurzzeitige Nennwert ({boost}) darf nicht unter dem dauerhaften ({continuous}) liegen',
    'value.boost_minutes' => 'ein kurzzeitiger Nennwert braucht die Minuten, die er gilt',
    'value.limit_low' => 'die Temperaturgrenze ({limit}) muss über der Umgebungstemperatur liegen, für die der Nennwert gilt ({rated})',
    'value.no_inlet' => 'das Fahrzeug {vehicle} hat keine Ladebuchse {index}',
];
