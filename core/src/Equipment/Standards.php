<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/**
 * What a standard fixes for every piece with one coupler, whether anybody has read it or not. No standard fixes which
 * DC protocols a J3400 piece uses, 277 V, or the volts and amps of a battery or a station.
 */
final class Standards
{
    /** The only DC protocol of a coupler; null where the shape leaves it open, or has no DC. */
    public static function dcProtocol(CouplerFamily $coupler): ?Signalling
    {
        return match ($coupler) {
            CouplerFamily::Ccs1, CouplerFamily::Ccs2 => Signalling::Plc,
            CouplerFamily::Chademo => Signalling::CanChademo,
            CouplerFamily::GbtDc => Signalling::CanGbt,
            default => null,
        };
    }

    /** The signalling of an AC post; null for a socket and for obsolete couplers, which have no pilot. */
    public static function acProtocol(CouplerFamily $coupler): ?Signalling
    {
        return $coupler->carries(CurrentKind::Ac) && $coupler !== CouplerFamily::Socket && ! $coupler->isHistoric() ? Signalling::Pwm : null;
    }

    /**
     * The supply volts that the onboard charger behind an inlet takes, per phase.
     *
     * type1 and j3400: nominal 120 V and 208 to 240 V (SAE J1772), a tenth below 120 V by our choice, up to the coupler's own
     * 250 V. type2: 230 V ± 10 % (IEC 60038, EN 50160). gbt_ac: 220 V + 7 / − 10 % (GB/T 12325).
     */
    public static function chargerWindow(CouplerFamily $inlet): ?VoltsWindow
    {
        return match ($inlet->acHalf() ?? $inlet) {
            CouplerFamily::Type1, CouplerFamily::J3400 => new VoltsWindow(108.0, 250.0),
            CouplerFamily::Type2 => new VoltsWindow(207.0, 253.0),
            CouplerFamily::GbtAc => new VoltsWindow(198.0, 235.0),
            default => null,
        };
    }

    /** Phases of the onboard charger behind an inlet. */
    public static function chargerPhases(CouplerFamily $inlet): ?PhaseCount
    {
        return match ($inlet->acHalf() ?? $inlet) {
            CouplerFamily::Type1, CouplerFamily::J3400 => PhaseCount::exactly(1),
            CouplerFamily::Type2, CouplerFamily::GbtAc => PhaseCount::oneAtLeast(),
            default => null,
        };
    }

    /** Phases of the supply behind a post or socket; null for a socket that no standard here names. */
    public static function supplyPhases(Coupler $outlet): ?PhaseCount
    {
        if (! $outlet->isSocket()) {
            return self::chargerPhases($outlet->family);
        }

        return match (true) {
            // IEC 60309-2: red is 380 to 480 V, and its poles are three phases. Blue may be any of them.
            str_starts_with($outlet->id, 'socket:red-') => PhaseCount::exactly(PhaseCount::MOST),
            str_starts_with($outlet->id, 'socket:blue-') => PhaseCount::exactly(1),
            SocketKind::tryFrom(substr($outlet->id, strlen('socket:'))) !== null => PhaseCount::exactly(1),
            default => null,
        };
    }

    /** The name of the standard that fixes a protocol; null where none does. */
    public static function ofProtocol(Signalling $protocol): ?Message
    {
        return match ($protocol) {
            Signalling::Plc => Message::of('standard.plc'),
            Signalling::CanChademo => Message::of('standard.can_chademo'),
            Signalling::CanGbt => Message::of('standard.can_gbt'),
            Signalling::Pwm => Message::of('standard.pwm'),
            Signalling::CanLegacy => null,
        };
    }

    /** The name of the standard that fixes the volts of the supply behind an inlet; null where none does. */
    public static function ofVolts(CouplerFamily $inlet): ?Message
    {
        return match ($inlet->acHalf() ?? $inlet) {
            CouplerFamily::Type1, CouplerFamily::J3400 => Message::of('standard.volts_one_phase'),
            CouplerFamily::Type2 => Message::of('standard.volts_type2'),
            CouplerFamily::GbtAc => Message::of('standard.volts_gbt'),
            default => null,
        };
    }

    /** The name of the standard that fixes the phases behind an inlet, a connector or a socket; null where none does. */
    public static function ofPhases(Coupler $coupler): ?Message
    {
        return match ($coupler->family->acHalf() ?? $coupler->family) {
            CouplerFamily::Type1, CouplerFamily::J3400 => Message::of('standard.phases_one'),
            CouplerFamily::Type2 => Message::of('standard.phases_type2'),
            CouplerFamily::GbtAc => Message::of('standard.phases_gbt'),
            CouplerFamily::Socket => preg_match('/^socket:(red|blue)-/', $coupler->id) === 1 ? Message::of('standard.phases_industrial') : Message::of('standard.phases_socket'),
            default => null,
        };
    }
}
