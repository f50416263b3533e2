<?php

declare(strict_types=1);

return [
    // Fields that cannot be accepted.
    'new_car.two_faces' => 'takes at most two inlets, each a different shape',
    'new_car.no_inlet' => "is a socket, not a car's inlet",
    'new_car.no_class' => 'is not a battery class known here',

    // Where a garage is.
    'region.north-america' => 'North America',
    'region.europe' => 'Europe',
    'region.uk' => 'United Kingdom',
    'region.china' => 'China',
    'region.japan' => 'Japan',
    'region.oceania' => 'Australia and New Zealand',
    'region.elsewhere' => 'somewhere else',

    // Words by which people look for a kind of charger or adapter: general terms and names of standards.
    // A number belongs to the word before it: "level 1" is written level1.
    'found_by.type1' => 'type1 j1772 sae j1772 j plug five-pin 5-pin',
    'found_by.type2' => 'type2 iec 62196-2 seven-pin 7-pin european plug',
    'found_by.j3400' => 'j3400 sae j3400 nacs north american charging standard slim plug small plug',
    'found_by.ccs1' => 'ccs ccs1 combo combo1 combined combined charging system type1 combo j1772 combo sae combo',
    'found_by.ccs2' => 'ccs ccs2 combo combo2 combined combined charging system type2 combo european combo',
    'found_by.chademo' => 'chademo cha de mo japanese large round plug',
    'found_by.gbt' => 'gb/t gbt chinese plug 20234',
    'found_by.historic' => 'old historic paddle inductive butt square',
    'found_by.blue' => 'blue socket camping caravan commando cee iec 60309 16 32',
    'found_by.red' => 'red socket three-phase commando cee iec 60309 five-pin',
    'found_by.household' => 'wall socket wall outlet domestic plug household mains 230 cee 7 bs 1363 three-pin granny slow',
    'found_by.nema' => 'nema {kind} wall outlet wall socket receptacle household',
    'found_by.level_1' => 'level1 l1 slow trickle',
    'found_by.level_2' => 'level2 l2 ac destination fast ac post wall charger',
    'found_by.dc' => 'level3 l3 dc fast rapid quick',
    'found_by.ultra' => 'ultra rapid ultra-fast high power hpc',
    'found_by.supply' => 'portable supply granny cable mobile charger evse in-cable control box',
    'found_by.adapter' => 'adapter adaptor dongle',
    'field.kit_needs_cars' => 'add a car first: a kit is worked out for cars',
    'field.kit_needs_outlets' => 'add a charger first: a kit is worked out for chargers',
    'field.unknown_car' => 'there is no car "{id}" in this garage',
];
