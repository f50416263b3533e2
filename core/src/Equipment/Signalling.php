<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The language in which vehicle and station agree on a session. */
enum Signalling: string
{
    /** AC control pilot: SAE J1772, IEC 61851-1. */
    case Pwm = 'pwm';

    /** Power-line communication on the control pilot: DIN 70121, ISO 15118-2/-20. */
    case Plc = 'plc';

    /** The closed network's first language. */
    case CanLegacy = 'can_legacy';

    /** IEC 61851-24 annex A, on the large round DC coupler. */
    case CanChademo = 'can_chademo';

    /** GB/T 27930. */
    case CanGbt = 'can_gbt';

    public function words(): string
    {
        return match ($this) {
            self::Pwm => 'the AC control pilot',
            self::Plc => 'power-line communication',
            self::CanLegacy => 'the old language of the closed network',
            self::CanChademo => 'CHAdeMO signalling',
            self::CanGbt => 'GB/T signalling',
        };
    }

    /** @param  list<self>  $languages */
    public static function list(array $languages): string
    {
        return $languages === []
            ? 'nothing'
            : implode(' and ', array_map(static fn (self $s): string => $s->words(), $languages));
    }
}
