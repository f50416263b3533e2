<?php

declare(strict_types=1);

return [
    // Names of closed sets.
    'note.warm' => '{Link} is still warm from earlier use: {theta} of the allowed rise.',

    // Why an answer is what it is.
    'doubt.narrows' => 'Reading {fact} would narrow this from {now} to about {then}.',
    'doubt.rests' => 'It also rests on {fact}, which nobody has read.',
    'doubt.span' => '{low}–{high}',

    // Why a forecast ends, or why there is none.
    'note.heater_unread' => 'The pack begins at {from} and warms while it charges. Nobody has read the power of its heater, so none is counted: it may go quicker than this.',
    'note.warming' => 'The pack begins at {from} and warms while it charges.',
    'note.distance' => '{km} with {reserve} left on arrival ask for {soc}, by one figure for every speed.',
    'note.distance_there' => '{km} with {reserve} left on arrival ask for {soc}, by one figure for every speed: there is enough already.',
    'note.distance_beyond' => '{km} with {reserve} left on arrival would ask for {soc}, by one figure for every speed: the forecast goes to 100 %.',
    'end.ceiling' => 'The station ends at {ceiling}; the pack is there at {soc}.',
    'end.too_long' => 'Not there after {hours, plural, other {# hours}}.',
    'cabin.costs_time' => 'Heating or cooling takes {about, select, yes {about } other {}}{kwh}. With it off, the session would be {minutes} shorter and take {saved} less.',
    'cabin.costs_energy' => 'Heating or cooling takes {about, select, yes {about } other {}}{kwh}. With it off, the session would take {saved} less, and just as long.',
    'cabin.keeps_it_down' => 'Switch off heating or cooling: the charge rises only without it.',
    'end.charge_falls' => 'The charge falls by {percent} an hour: heating or cooling takes more than the {kw} from the plug can cover.',
    'end.nothing_flows' => 'Nothing flows any more: {binding} allows none.',
    'end.no_limit' => 'No limit of this chain has been read yet.',
    'adapter_passed.at_once' => 'Nothing says that {adapter} holds the current back: from the first power the rest of the chain would carry {would} where it allows {allowed}. Ask the car for less, or choose a weaker stall; these minutes assume that it is obeyed.',
    'adapter_passed.from' => 'Nothing says that {adapter} holds the current back: from minute {minute}, at {soc}, the rest of the chain would go on to carry {would} where it allows {allowed}. Stop by then or ask the car for less; these minutes assume that it is obeyed.',
    'end.unread' => 'Without {facts} there is no forecast.',

    // Where to go.
    'price.per_kwh' => 'the price of a kWh',
    'price.per_minute' => 'the price of a minute',
    'price.session_fee' => 'the fee for a session',
    'price.idle' => 'the price of idle minutes and the grace before it',
    'rank.nothing' => 'Nothing flows.',
    'rank.check_first' => 'Check first: {facts}.',
    'rank.time_first' => 'Quickest: {minutes}, {why}.',
    'rank.time_first_tie' => 'None is quicker: {minutes}, {why}.',
    'rank.time_same' => '{minutes}, as at {first}: {why}.',
    'rank.time_more' => '{minutes}, {more} more than {first}: {why}.',
    'rank.held' => 'held by {binding} for {minutes} of them',
    'rank.nothing_to_charge' => 'nothing to charge',
    'rank.time_alone' => '{minutes}: {why}.',
    'rank.price_unread' => "Price not read: the sign at the stall, or its network's app, tells it.",
    'rank.price_at_least' => "At least {price}. Not read: {parts}. The sign at the stall, or its network's app, tells it.",
    'rank.price_part_unread' => "Not read: {parts}. The sign at the stall, or its network's app, tells it; write 0 where there is none.",
    'rank.money_first' => 'Cheapest: {price} for {energy}.',
    'rank.money_first_tie' => 'None is cheaper: {price} for {energy}.',
    'rank.money_alone' => '{price} for {energy}.',
    'rank.money_apart' => '{price} for {energy}; not compared with another currency.',
    'rank.money_same' => '{price} for {energy}, as at {first}.',
    'rank.money_more' => '{price} for {energy}, {more} more than {first}.',
    'rank.risk' => '{Parts}.',
    'rank.no_risk' => 'Nothing left open: access and plates are read, no fault is known.',
    'rank.known_fault' => 'known fault: {fault}',
    'rank.trailer' => 'no pull-through bay is known for the trailer',
    'rank.every_stall_faulty' => 'every stall has a known fault',
    'rank.access_unverified' => 'access not verified: {facts}',
    'rank.not_read' => 'not read: {facts}',
];
