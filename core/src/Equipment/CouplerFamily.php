<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/**
 * A family of mating shapes: SAE J1772, SAE J3400, IEC 62196-2/-3, GB/T 20234, and the plain sockets that a
 * portable supply reaches.
 */
enum CouplerFamily: string implements Term
{
    case Type1 = 'type1';
    case Type2 = 'type2';
    case J3400 = 'j3400';
    case Ccs1 = 'ccs1';
    case Ccs2 = 'ccs2';
    case Chademo = 'chademo';
    case GbtAc = 'gbt_ac';
    case GbtDc = 'gbt_dc';
    case LegacyPaddle = 'legacy_paddle';
    case LegacyButt = 'legacy_butt';
    case Socket = 'socket';

    /** Whether the coupler has contacts for this kind of current at all. */
    public function carries(CurrentKind $current): bool
    {
        return match ($this) {
            self::J3400 => true,
            self::Ccs1, self::Ccs2, self::Chademo, self::GbtDc => $current === CurrentKind::Dc,
            self::Type1, self::Type2, self::GbtAc, self::LegacyPaddle, self::LegacyButt, self::Socket => $current === CurrentKind::Ac,
        };
    }

    /** The AC coupler that a combined vehicle inlet also takes (IEC 62196-3, configurations EE and FF). */
    public function acHalf(): ?self
    {
        return match ($this) {
            self::Ccs1 => self::Type1,
            self::Ccs2 => self::Type2,
            default => null,
        };
    }

    /** Obsolete couplers: named so that an old post is recognised; they fit nothing in use today. */
    public function isHistoric(): bool
    {
        return $this === self::LegacyPaddle || $this === self::LegacyButt;
    }

    /** The look in words: "round AC plug, North America". */
    public function message(): Message
    {
        return Message::of('coupler.'.$this->value);
    }

    /** The short name that the field uses: "Type 1". */
    public function name(): Message
    {
        return Message::of('coupler_name.'.$this->value);
    }
}
