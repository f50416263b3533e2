<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** The kind of answer a question about a fact takes. */
enum FactKind: string
{
    case Volts = 'volts';
    case Amps = 'amps';
    case Phases = 'phases';
    case KiloWatts = 'kw';
    case Sharing = 'sharing';
    case PowerCurve = 'curve_kw';
    case KiloWattHours = 'kwh';
    case KmPerKwh = 'km_per_kwh';
    case Metres = 'metres';
    case YesNo = 'yes_no';
    case Languages = 'languages';
    case Current = 'current';
    case Certification = 'certification';
    case Access = 'access';
    case Names = 'names';
    case Corner = 'corner';
    case Curve = 'curve';
}
