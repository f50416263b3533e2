<?php

declare(strict_types=1);

return [
    // Readings and places from files.
    'ocpi.unknown_standard' => 'Ladeplatz {stall}: Der Steckertyp „{standard}“ ist hier nicht bekannt',
    'ocpi.standard_left_out' => 'Ladeplatz {stall}: Der Steckertyp „{standard}“ wurde weggelassen, wie du es gewählt hast',
    'ocpi.unpublished' => '{place} bleibt weg: Das Ladenetz veröffentlicht diesen Standort nicht',
    'ocpi.empty' => '{place} bleibt weg: Dort gibt es keine Ladeplätze',
    'ocpi.twice' => 'der Standort „{id}“ steht zweimal in der Datei; der erste gilt',
    'ocpi.stall_twice' => 'der Ladeplatz {stall} steht zweimal in der Datei; der erste gilt',
    'ocpi.not_there' => 'der Ladeplatz {stall} ist geplant oder abgebaut',
    'ocpi.fault_out_of_order' => 'laut Ladenetz gestört',
    'ocpi.fault_not_in_service' => 'laut Ladenetz außer Betrieb',
    'ocpi.status_works' => 'in Ordnung',
    'ocpi.status_out_of_order' => 'gestört',
    'ocpi.status_not_in_service' => 'außer Betrieb',
    'ocpi.status_not_there' => 'geplant oder abgebaut',
    'ocpi.unknown_power' => 'Ladeplatz {stall}: Die Stromart „{power}“ ist hier nicht bekannt',
    'ocpi.no_name' => '{place}: {coupler} hat in OCPI keinen Namen',
    'ocpi.prices_differ' => '{outlet}: Der Preis ist von Platz zu Platz verschieden und bleibt deshalb „nicht bekannt“',
    'ocpi.tariff_profile' => 'Der Tarif {tariff} gilt nur für bestimmte Verträge und wurde nicht verwendet',
    'ocpi.tariff_not_valid' => 'Der Tarif {tariff} gilt jetzt nicht und wurde nicht verwendet',
    'ocpi.tariff_twice' => 'Der Tarif {tariff} steht zweimal in der Datei; der erste gilt',
    'ocpi.tariff_empty' => 'Der Tarif {tariff} enthält keinen Preis für einen Ladevorgang und wurde nicht verwendet',
    'ocpi.tariff_bounds' => 'Der Tarif {tariff} hat einen Mindest- oder Höchstpreis je Ladevorgang, der nicht eingerechnet wird',
    'ocpi.tariff_depends' => 'Tarif {tariff}: {part} hängt von der Tageszeit oder vom Ladevorgang ab und bleibt deshalb „nicht bekannt“',
    'ocpi.tariff_steps' => 'Tarif {tariff}: {part} wird in größeren Schritten berechnet, die nicht eingerechnet werden',
    'tariff_part.energy' => 'der Preis je kWh',
    'tariff_part.time' => 'der Preis je Minute',
    'tariff_part.flat' => 'der Preis je Ladevorgang',
    'tariff_part.parking' => 'die Standgebühr',
    'ocpi.outlet' => '{coupler}, {figures}',
];
