<?php

declare(strict_types=1);

return [
    // Fields that cannot be accepted.
    'new_car.two_faces' => 'takes at most two inlets, each of another shape',
    'new_car.no_inlet' => 'is a socket, not an inlet of a car',
    'new_car.no_class' => 'is no class of pack that is known here',

    // Where a garage is.
    'region.north-america' => 'North America',
    'region.europe' => 'Europe',
    'region.uk' => 'United Kingdom',
    'region.china' => 'China',
    'region.japan' => 'Japan',
    'region.oceania' => 'Australia and New Zealand',
    'region.elsewhere' => 'somewhere else',
];
