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
    'ocpi.outlet' => '{coupler}, {figures}',
];
