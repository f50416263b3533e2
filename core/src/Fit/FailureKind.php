<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

/** How serious a gate's failure is. */
enum FailureKind
{
    /** It does not work. */
    case Plain;

    /** It would work; the driver's own policy refuses it. */
    case Policy;

    /** It endangers people or equipment. */
    case Hazard;
}
