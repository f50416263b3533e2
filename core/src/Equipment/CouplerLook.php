<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/**
 * How a coupler looks at a glance: its outline, how many contacts, and whether two big ones sit below. After the
 * faces in SAE J1772, SAE J3400, IEC 62196-2/-3 and GB/T 20234.
 */
final readonly class CouplerLook
{
    private function __construct(
        public CouplerFamily $family,
        public string $outline,
        public int $contacts,
        public bool $bigBelow,
    ) {
    }

    /** @return list<self> every shape but the plain sockets, which are known by their own names */
    public static function all(): array
    {
        return [
            new self(CouplerFamily::Type1, 'round', 5, false),
            new self(CouplerFamily::Ccs1, 'round', 7, true),
            new self(CouplerFamily::Type2, 'flat-top', 7, false),
            new self(CouplerFamily::Ccs2, 'flat-top', 9, true),
            new self(CouplerFamily::J3400, 'oval', 5, false),
            new self(CouplerFamily::Chademo, 'large round', 10, false),
            new self(CouplerFamily::GbtAc, 'flat-top', 7, false),
            new self(CouplerFamily::GbtDc, 'large round', 9, false),
            new self(CouplerFamily::LegacyPaddle, 'paddle', 0, false),
            new self(CouplerFamily::LegacyButt, 'square', 6, false),
        ];
    }

    /** What a person sees. */
    public function message(): Message
    {
        return Message::of('marks.'.$this->family->value);
    }
}
