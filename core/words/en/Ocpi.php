<?php

declare(strict_types=1);

return [
    // Readings and places from files.
    'ocpi.unknown_standard' => 'stall {stall}: connector "{standard}" is not known here',
    'ocpi.standard_left_out' => 'stall {stall}: connector "{standard}", left out as you chose',
    'ocpi.unpublished' => '{place} is left out: its network does not publish it',
    'ocpi.empty' => '{place} is left out: it has no stalls',
    'ocpi.twice' => 'location "{id}" is in the file twice; the first one is used',
    'ocpi.stall_twice' => 'stall {stall} is in the file twice; the first one is used',
    'ocpi.not_there' => 'stall {stall} is planned or removed',
    'ocpi.fault_out_of_order' => 'out of order, says its network',
    'ocpi.fault_not_in_service' => 'not in service, says its network',
    'ocpi.status_works' => 'works',
    'ocpi.status_out_of_order' => 'out of order',
    'ocpi.status_not_in_service' => 'not in service',
    'ocpi.status_not_there' => 'planned or removed',
    'ocpi.unknown_power' => 'stall {stall}: power type "{power}" is not known here',
    'ocpi.no_name' => '{place}: {coupler} has no name in OCPI',
    'ocpi.prices_differ' => '{outlet}: the price differs from stall to stall, so it stays "not known"',
    'ocpi.tariff_profile' => 'Tariff {tariff} is for certain contracts only; it was not used',
    'ocpi.tariff_not_valid' => 'Tariff {tariff} is not valid now; it was not used',
    'ocpi.tariff_twice' => 'Tariff {tariff} is in the file twice; the first one is used',
    'ocpi.tariff_empty' => 'Tariff {tariff} has no price for a session; it was not used',
    'ocpi.tariff_bounds' => 'Tariff {tariff} has a minimum or maximum price per session, which is not counted',
    'ocpi.tariff_depends' => 'Tariff {tariff}: {part} changes with the time of day or the session, so it stays "not known"',
    'ocpi.tariff_steps' => 'Tariff {tariff}: {part} is charged in larger steps, which are not counted',
    'tariff_part.energy' => 'the price per kWh',
    'tariff_part.time' => 'the price per minute',
    'tariff_part.flat' => 'the price per session',
    'tariff_part.parking' => 'the idle fee',
    'ocpi.outlet' => '{coupler}, {figures}',
];
