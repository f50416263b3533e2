<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** What a driver is assumed to need until they say otherwise, and the first value of each option when it is switched on. */
final class UsualNeed
{
    public const AMBIENT_C = 20.0;

    /** Temperature of a battery that isn't preheated on the way (°C). */
    public const PACK_C = 20.0;

    /** Minutes since an earlier use. */
    public const RESTED_MINUTES = 30.0;

    public const NEIGHBOUR_AT_MINUTE = 10.0;

    public const NEIGHBOUR_LEAVES_AT_MINUTE = 20.0;

    public const PREPARED_MINUTES = 20.0;

    /** A leg between two stops (km). */
    public const KM = 150.0;

    public const DERATED_KW = 60.0;

    public const NEXT_STOP_KW = 100.0;

    /** The default when the cabin's power is entered as a figure. */
    public const CABIN_KW = 1.5;

    public static function conditions(): Conditions
    {
        return new Conditions(ambientC: self::AMBIENT_C, pack: new PackOnArrival(self::PACK_C), earlierUse: new EarlierUse(restedMinutes: self::RESTED_MINUTES));
    }
}
