<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** The unit of a figure in a message. The value is its sign (SI brochure, where it has one). */
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

    /** A count of things; the wording may depend on the number. */
    case Count = 'count';
}
