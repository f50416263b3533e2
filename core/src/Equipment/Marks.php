<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/**
 * What tells one shape from another at a glance: outline, how many contacts, and whether two big ones sit below. After
 * the faces in SAE J1772, SAE J3400, IEC 62196-2/-3 and GB/T 20234.
 */
final readonly class Marks
{
    private function __construct(
        public CouplerFamily $family,
        public string $outline,
        public int $contacts,
        public bool $bigBelow,
        public string $words,
    ) {
    }

    /** @return list<self> every shape but the plain sockets, which are known by their own names */
    public static function all(): array
    {
        return [
            new self(CouplerFamily::Type1, 'round', 5, false, 'Round face with five contacts. The handle has a lever on top. AC only.'),
            new self(CouplerFamily::Ccs1, 'round', 7, true, 'The five-contact round face with two big contacts below. DC; the inlet also takes the round AC plug.'),
            new self(CouplerFamily::Type2, 'flat-top', 7, false, 'Round with a flat top, seven contacts. AC, one or three phases.'),
            new self(CouplerFamily::Ccs2, 'flat-top', 9, true, 'The flat-topped face with two big contacts below. DC; the inlet also takes the flat-topped AC plug.'),
            new self(CouplerFamily::J3400, 'oval', 5, false, 'Slim rounded face with five contacts, two of them big and shared by AC and DC. The same look hides two voltages and two languages: check which.'),
            new self(CouplerFamily::Chademo, 'large round', 10, false, 'Large round face, two big contacts at the sides, small ones above and below. DC only; such a car has a second inlet for AC.'),
            new self(CouplerFamily::GbtAc, 'flat-top', 7, false, 'Like the flat-topped seven, with pins on the cable side. AC.'),
            new self(CouplerFamily::GbtDc, 'large round', 9, false, 'Large round face with nine contacts, two of them big. DC only.'),
            new self(CouplerFamily::LegacyPaddle, 'paddle', 0, false, 'A flat paddle without contacts: historic, not usable.'),
            new self(CouplerFamily::LegacyButt, 'square', 6, false, 'A square face with flat spring contacts: historic, not usable.'),
        ];
    }
}
