<?php

declare(strict_types=1);

/* What the application itself has to say, beside the core's patterns (core/words/en.php). */
return [
    'app.sign_in_refused' => 'This e-mail address and password do not belong together.',
    'app.demo_not_loaded' => 'The demo garage is not loaded: run ./harmozon reset-demo.',
    'app.changed_meanwhile' => '{name} was changed meanwhile, perhaps in another tab. Nothing of yours was written, and nothing is lost.',
    'app.put_aside' => '{name} was put aside meanwhile, perhaps in another tab. Nothing of yours was written, and nothing is lost.',
    'app.expected_changes' => 'expected an object of figures by their dotted paths',
    'app.no_such_record' => 'There is no such record in this garage.',
    'app.not_in_garage' => 'is not in this garage',
    'app.session_finished' => 'is finished; reopen it to change its readings',
    'app.too_many_readings' => 'a session holds at most {most} readings; nothing of this was kept',
    'app.unreadable_file' => '"{path}" is not a file that can be read',
    'app.one_standard_input' => 'only one of the two can come from standard input',
    'console.peak' => '{Outcome}, peak {kw}',
    'console.change' => '> {change}: {outcome}, {kw}',
    'console.no_power' => 'power not known',
    'console.other_way_is_hazard' => '! Another way through these adapters is dangerous: do not connect it.',
    'console.but_hazard' => '{outcome}; another way: do not connect',
    'console.forecast' => '{minutes} to {soc}: {plug} at the plug, {pack} in the pack, mean {mean}, peak {peak}',
    'console.cost_unread' => 'Cost not known; not read: {parts}.',
    'console.cost' => '{cost}',
    'console.cost_member' => '{cost}, {member} for members',
    'console.more_rejected' => 'and {count, plural, one {# line} other {# lines}} more left out',
    'console.rejected' => 'line {line} left out: {reason}',
    'console.caution' => '! {caution}',
    'console.demo_loaded' => 'Demo garage loaded: {garage}',

    // How fast the core answers.
    'bench.knows' => 'harmozon:bench knows: board, forecast, ranking, check',
    'bench.board' => 'a board of {cars} cars, {outlets} outlets and {adapters} adapters, pairs',
    'bench.forecasts' => 'a board of {cars} cars, {outlets} outlets and {adapters} adapters, forecasts from 10 to 80 %',
    'bench.ranked' => 'outlets ranked for one car',
    'bench.times' => '{what}: {count}; median {median} ms ({least} to {most}), {rate} a second, peak memory {memory} MB',
    'bench.split' => '{rows, number} rows split by a bare loop of fgetcsv: {seconds} s at best',
    'bench.judged' => 'the same rows read and judged: {seconds} s at best, {times} times as long, {rate, number} rows a second, peak memory {memory} MB',
];
