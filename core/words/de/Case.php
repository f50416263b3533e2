<?php

declare(strict_types=1);

return [
    // Fields that cannot be accepted.
    'new_car.two_faces' => 'höchstens zwei Ladebuchsen, jede in anderer Form',
    'new_car.no_inlet' => 'ist eine Steckdose, keine Ladebuchse am Auto',
    'new_car.no_class' => 'ist keine Batterieklasse, die hier bekannt ist',

    // Where a garage is.
    'region.north-america' => 'Nordamerika',
    'region.europe' => 'Europa',
    'region.uk' => 'Vereinigtes Königreich',
    'region.china' => 'China',
    'region.japan' => 'Japan',
    'region.oceania' => 'Australien und Neuseeland',
    'region.elsewhere' => 'anderswo',

    // Words by which people look for a kind of charger or adapter: general terms and names of standards.
    // A number belongs to the word before it: "level 1" is written level1.
    'found_by.type1' => 'type1 typ1 j1772 sae j1772 j-stecker fünfpolig 5-polig',
    'found_by.type2' => 'type2 typ2 iec 62196-2 siebenpolig 7-polig europäischer stecker',
    'found_by.j3400' => 'j3400 sae j3400 nacs north american charging standard schmaler stecker kleiner stecker',
    'found_by.ccs1' => 'ccs ccs1 combo combo1 kombiniert combined charging system typ1 combo j1772 combo sae combo',
    'found_by.ccs2' => 'ccs ccs2 combo combo2 kombiniert combined charging system typ2 combo europäischer combo',
    'found_by.chademo' => 'chademo cha de mo japanisch großer runder stecker',
    'found_by.gbt' => 'gb/t gbt chinesischer stecker 20234',
    'found_by.historic' => 'alt historisch paddel induktiv flach eckig',
    'found_by.blue' => 'blaue steckdose camping wohnwagen cee iec 60309 16 32',
    'found_by.red' => 'rote steckdose drehstrom kraftstrom starkstrom dreiphasig cee iec 60309 fünfpolig',
    'found_by.household' => 'steckdose schuko haushalt hausstrom netz 230 cee 7 bs 1363 dreipolig langsam',
    'found_by.nema' => 'nema {kind} steckdose haushalt',
    'found_by.level_1' => 'level1 l1 langsam schuko',
    'found_by.level_2' => 'level2 l2 ac wechselstrom ac-säule wandladestation ladebox',
    'found_by.dc' => 'level3 l3 dc gleichstrom schnelllader schnell',
    'found_by.ultra' => 'ultraschnell schnelllader hohe leistung hpc',
    'found_by.supply' => 'mobiler lader notladekabel ladeziegel iccb ic-cpd evse',
    'found_by.adapter' => 'adapter zwischenstecker',
    'field.kit_needs_cars' => 'füge zuerst ein Auto hinzu: eine Ausrüstung wird für Autos berechnet',
    'field.kit_needs_outlets' => 'füge zuerst eine Ladestation hinzu: eine Ausrüstung wird für Ladestationen berechnet',
    'field.unknown_car' => 'in dieser Garage gibt es kein Auto "{id}"',
];
