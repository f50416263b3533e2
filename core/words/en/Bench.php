<?php

declare(strict_types=1);

return [
    // The stand-in.
    'bench.needs_kwh' => "a simulated session needs the battery's usable kWh",
    'bench.needs_volts' => 'a simulated session needs a chain whose voltages match',
    'bench.needs_limit' => 'a simulated session needs a chain with at least one limit read',
];
