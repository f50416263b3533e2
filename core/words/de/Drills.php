<?php

declare(strict_types=1);

return [
    // What is practised.
    'drill_kind.will_it_charge' => 'Lädt es?',
    'drill_kind.through_what' => 'Durch welchen Adapter?',
    'drill_kind.connecting_order' => 'Welche Reihenfolge?',
    'drill_kind.about_how_much' => 'Wie viele kW?',
    'drill_kind.what_limits' => 'Was begrenzt?',
    'drill_kind.stall_to_take' => 'Welcher Ladeplatz?',
    'drill_kind.what_happened' => 'Was bedeutet das?',
    'drill_kind.first_remedy' => 'Was zuerst?',
    'drill_kind.adapter_enough' => 'Reicht dieser Adapter?',
    'drill_kind.plate_to_read' => 'Welches Typenschild lesen?',
    'drill_kind.boost_left' => 'Wie lange hält der Boost?',
    'drill_kind.report_cause' => 'Was zeigt die Kurve?',

    // The situation.
    'drill.at' => '{vehicle} an {outlet}.',
    'drill.at_through' => '{vehicle} an {outlet}, durch {adapter}.',
    'drill.arrives' => 'Du kommst mit {vehicle} an.',
    'drill.rated' => '{link}: {plate}',
    'drill.boosted' => '{link}: {boost} für {minutes}, dauerhaft {continuous}. Umgebung {ambient}.',
    'drill.expected' => 'Prognose: bis zu {kw}.',
    'drill.station_shows' => 'Die Station: {sign}',
    'drill.car_shows' => 'Das Auto: {sign}',
    'drill.you_hear' => 'Du hörst: {sign}',

    // The question.
    'drill.will_it_charge' => 'Lädt es mit dem, was in deiner Kiste liegt?',
    'drill.through_what' => 'Womit verbindest du es?',
    'drill.connecting_order' => 'Was kommt zuerst?',
    'drill.about_how_much' => 'Auf wie viele kW kommt es etwa?',
    'drill.what_limits' => 'Was begrenzt die Leistung?',
    'drill.stall_to_take' => 'Welche Ladestation nimmst du?',
    'drill.what_happened' => 'Was ist passiert?',
    'drill.first_remedy' => 'Was tust du zuerst?',
    'drill.adapter_enough' => 'Ist dieser Adapter dafür ausgelegt?',
    'drill.plate_to_read' => 'Wessen Typenschild musst du zuerst lesen?',
    'drill.boost_left' => 'Wie lange hält der Boost?',
    'drill.report_cause' => 'Was zeigt diese Kurve?',

    // The answers.
    'drill.outcome.charges' => 'Es lädt.',
    'drill.outcome.wont_charge' => 'Es passt, lädt aber nicht.',
    'drill.outcome.no_joint' => 'Es passt nicht.',
    'drill.outcome.hazard' => 'Nicht verbinden.',
    'drill.straight' => 'Mit nichts: Der Stecker passt direkt',
    'drill.order.handle-first' => 'Den Stecker in den Adapter, dann beides ins Auto',
    'drill.order.car-first' => 'Den Adapter ins Auto, dann den Stecker',
    'drill.order.current-first' => 'Den Ladevorgang starten, dann verbinden',
    'drill.order_says' => 'In der Anleitung von {adapter} steht: {order}.',
    'drill.never_under_current' => 'Solange der Ladevorgang läuft, wird nichts gesteckt und nichts gezogen.',
    'drill.kw' => '{kw}',
    'drill.gives' => 'Hier gibt sie {kw}.',
    'drill.comes_later' => 'Es kann helfen, kommt aber als Zweites.',
    'drill.enough.enough' => 'Ja. Die Grenze liegt woanders',
    'drill.enough.limits' => 'Es geht, und der Adapter ist die Grenze',
    'drill.enough.refused' => 'Nein. Nimm ihn dafür nicht',
    'drill.missing' => 'Noch nicht bestätigt: {facts}.',
    'drill.minutes' => '{minutes}',
    'drill.boost_why' => 'Ab dann lässt er {continuous} zu.',
];
