<?php

declare(strict_types=1);

return [
    // The stand-in.
    'bench.needs_kwh' => "the stand-in needs the pack's usable kWh",
    'bench.needs_volts' => 'the stand-in needs a chain whose volts meet',
    'bench.needs_limit' => 'the stand-in needs a chain with at least one limit that was read',
];
