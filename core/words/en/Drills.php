<?php

declare(strict_types=1);

return [
    // What is practised.
    'drill_kind.will_it_charge' => 'Will it charge?',
    'drill_kind.through_what' => 'Through which adapter?',
    'drill_kind.connecting_order' => 'Which order?',
    'drill_kind.about_how_much' => 'How many kW?',
    'drill_kind.what_limits' => 'What limits it?',
    'drill_kind.stall_to_take' => 'Which stall?',
    'drill_kind.what_happened' => 'What does it mean?',
    'drill_kind.first_remedy' => 'What first?',
    'drill_kind.adapter_enough' => 'Is this adapter enough?',
    'drill_kind.plate_to_read' => 'Which rating plate to read?',
    'drill_kind.boost_left' => 'How long does the boost last?',
    'drill_kind.report_cause' => 'What does the curve show?',

    // The situation.
    'drill.at' => '{vehicle} at {outlet}.',
    'drill.at_through' => '{vehicle} at {outlet}, through {adapter}.',
    'drill.arrives' => 'You arrive with {vehicle}.',
    'drill.rated' => '{link}: {plate}',
    'drill.boosted' => '{link}: {boost} for {minutes}, {continuous} continuous. Ambient {ambient}.',
    'drill.expected' => 'Forecast: up to {kw}.',
    'drill.station_shows' => 'The station: {sign}',
    'drill.car_shows' => 'The car: {sign}',
    'drill.you_hear' => 'You hear: {sign}',

    // The question.
    'drill.will_it_charge' => 'Will it charge with what is in your crate?',
    'drill.through_what' => 'What do you connect it with?',
    'drill.connecting_order' => 'Which goes first?',
    'drill.about_how_much' => 'About how many kW will it reach?',
    'drill.what_limits' => 'What limits the power?',
    'drill.stall_to_take' => 'Which charger do you take?',
    'drill.what_happened' => 'What has happened?',
    'drill.first_remedy' => 'What do you do first?',
    'drill.adapter_enough' => 'Is this adapter rated for it?',
    'drill.plate_to_read' => 'Whose rating plate do you have to read first?',
    'drill.boost_left' => 'How long does the boost last?',
    'drill.report_cause' => 'What does this curve show?',

    // The answers.
    'drill.outcome.charges' => 'It charges.',
    'drill.outcome.wont_charge' => "It fits, but won't charge.",
    'drill.outcome.no_joint' => "It doesn't fit.",
    'drill.outcome.hazard' => 'Do not connect it.',
    'drill.straight' => 'Nothing: the connector goes straight in',
    'drill.order.handle-first' => 'The connector into the adapter, then both into the car',
    'drill.order.car-first' => 'The adapter into the car, then the connector',
    'drill.order.current-first' => 'Start the session, then connect',
    'drill.order_says' => "{adapter}'s instructions say: {order}.",
    'drill.never_under_current' => 'Nothing is connected or disconnected while the session runs.',
    'drill.kw' => '{kw}',
    'drill.gives' => 'It gives {kw} here.',
    'drill.comes_later' => 'It may help, but it comes second.',
    'drill.enough.enough' => 'Yes. Something else is the limit',
    'drill.enough.limits' => 'It works, and the adapter is the limit',
    'drill.enough.refused' => 'No. Do not use it for this',
    'drill.missing' => 'Not confirmed yet: {facts}.',
    'drill.minutes' => '{minutes}',
    'drill.boost_why' => 'From then on it allows {continuous}.',
];
