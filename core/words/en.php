<?php

declare(strict_types=1);

/*
 * English. A pattern is ICU's message format: {name} is a figure of the message, {Name} the same at the beginning of a
 * sentence. Codes begin with the subject they belong to. One file per room of the core; another language is another folder
 * with the same codes.
 */
$patterns = [];
foreach (['Bench', 'Case', 'Chain', 'Drills', 'Equipment', 'Fit', 'Forecast', 'Json', 'Kit', 'Ocpi', 'Power', 'Readings', 'Record', 'Review', 'Steps', 'Words'] as $room) {
    /** @var array<string, string> $ofRoom */
    $ofRoom = require __DIR__."/en/{$room}.php";
    $patterns += $ofRoom;
}

return $patterns;
