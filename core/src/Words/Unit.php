<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** What a figure in a message is counted in. The value is its sign (SI brochure, where it has one). */
enum Unit: string
{
    case Volts = 'V';
    case Amps = 'A';
    case KiloWatts = 'kW';
    case KiloWattHours = 'kWh';
    case Percent = '%';
    case Seconds = 's';
    case Minutes = 'min';

    /** Minutes, shown as hours and minutes when they are many. */
    case Duration = 'h:min';
    case Metres = 'm';

    /** Along the road. */
    case Grams = 'g';
    case Kilometres = 'km';
    case Celsius = '°C';

    /** A difference of two temperatures. */
    case Kelvin = 'K';
    case Money = 'money';

    /** A share of something, or a number without a unit. */
    case One = '1';

    /** Things that can be counted; a language may change its words with their number. */
    case Count = 'count';
}
