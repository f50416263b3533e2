<?php

declare(strict_types=1);

return [
    // Names of closed sets.
    'note.warm' => '{Link} is still warm from earlier use, at {theta} of its rated thermal load.',

    // Why an answer is what it is.
    'doubt.narrows' => 'Reading {fact} would narrow this from {now} to about {then}.',
    'doubt.rests' => 'It also depends on {fact}, which has not been read.',
    'doubt.span' => '{low}–{high}',

    // Why a forecast ends, or why there is none.
    'note.heater_unread' => "The battery starts at {from} and warms up while it charges. Its heater's power has not been read and is not counted: charging may be faster than this.",
    'note.warming' => 'The battery starts at {from} and warms up while it charges.',
    'note.distance' => '{km} with {reserve} left on arrival needs {soc}, counting the same consumption at every speed.',
    'note.distance_there' => '{km} with {reserve} left on arrival needs {soc}, counting the same consumption at every speed. You already have enough.',
    'note.distance_beyond' => '{km} with {reserve} left on arrival would need {soc}, counting the same consumption at every speed. The forecast stops at 100 %.',
    'end.ceiling' => "The station can't go above {ceiling}; the battery reaches that at {soc}.",
    'end.too_long' => 'Not reached after {hours, plural, other {# hours}}.',
    'cabin.costs_time' => 'Heating or cooling takes {about, select, yes {about } other {}}{kwh}. With it off, the session would be {minutes} shorter and take {saved} less.',
    'cabin.costs_energy' => 'Heating or cooling takes {about, select, yes {about } other {}}{kwh}. With it off, the session would take {saved} less in the same time.',
    'cabin.keeps_it_down' => "Switch off heating or cooling. With it on, the charge won't rise.",
    'end.charge_falls' => 'The charge falls by {percent} an hour: heating or cooling takes more than the {kw} from the plug.',
    'end.nothing_flows' => 'Charging ends here: {binding} allows no more.',
    'end.no_limit' => 'No limit of this chain has been read yet.',
    'adapter_passed.at_once' => "{adapter} may not limit the current itself. From the start, everything else here can carry {would}; {adapter} is rated {allowed}. Lower the car's charging limit or pick a weaker stall. This forecast assumes you do.",
    'adapter_passed.from' => "{adapter} may not limit the current itself. From minute {minute}, at {soc}, everything else here can still carry {would}; {adapter} is rated {allowed} by then. Stop by then or lower the car's charging limit. This forecast assumes you do.",
    'end.unread' => 'No forecast without {facts}.',

    // Where to go.
    'price.per_kwh' => 'the price per kWh',
    'price.per_minute' => 'the price per minute',
    'price.session_fee' => 'the session fee',
    'price.idle' => 'the idle fee and when it starts',
    'rank.nothing' => "Doesn't charge.",
    'rank.check_first' => 'Check first: {facts}.',
    'rank.time_first' => 'Quickest: {minutes}, {why}.',
    'rank.time_first_tie' => 'None is quicker: {minutes}, {why}.',
    'rank.time_same' => '{minutes}, the same as {first}: {why}.',
    'rank.time_more' => '{minutes}, {more} more than {first}: {why}.',
    'rank.held' => 'limited by {binding} for {minutes} of that',
    'rank.nothing_to_charge' => 'nothing to charge',
    'rank.time_alone' => '{minutes}: {why}.',
    'rank.price_unread' => "Price not read. Check the sign at the stall or the network's app.",
    'rank.price_at_least' => "At least {price}. Not read: {parts}. Check the sign at the stall or the network's app.",
    'rank.price_part_unread' => "Not read: {parts}. Check the sign at the stall or the network's app; enter 0 if there is none.",
    'rank.money_first' => 'Cheapest: {price} for {energy}.',
    'rank.money_first_tie' => 'None is cheaper: {price} for {energy}.',
    'rank.money_alone' => '{price} for {energy}.',
    'rank.money_apart' => '{price} for {energy}. Not compared: it is in another currency.',
    'rank.money_same' => '{price} for {energy}, the same as {first}.',
    'rank.money_more' => '{price} for {energy}, {more} more than {first}.',
    'rank.risk' => '{Parts}.',
    'rank.no_risk' => 'Nothing in doubt: access and ratings are read, no fault is known.',
    'rank.known_fault' => 'known fault: {fault}',
    'rank.trailer' => 'no pull-through bay known for the trailer',
    'rank.every_stall_faulty' => 'every stall has a known fault',
    'rank.access_unverified' => 'access not confirmed: {facts}',
    'rank.not_read' => 'not read: {facts}',
];
