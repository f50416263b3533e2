<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** The communication protocol between vehicle and station. */
enum Signalling: string implements Term
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

    public function current(): CurrentKind
    {
        return $this === self::Pwm ? CurrentKind::Ac : CurrentKind::Dc;
    }

    public function message(): Message
    {
        return Message::of('signalling.'.$this->value);
    }

    /** @param  list<self>  $languages */
    public static function list(array $languages): Listing
    {
        return Listing::and($languages === []
            ? [Message::of('signalling.nothing')]
            : array_map(static fn (self $s): Message => $s->message(), $languages));
    }
}
