<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/** Plates as one line of figures, as they are printed; what nobody has read is left out. */
final class PlateLine
{
    /** On one line. */
    private const MOST_STALLS_NAMED = 12;

    public static function outlet(Outlet $outlet): Message
    {
        return $outlet->rating->current === CurrentKind::Ac
            ? self::of(self::figure($outlet->feed->supply?->volts, Unit::Volts), self::figure($outlet->feed->supply?->amps, Unit::Amps), self::figure($outlet->rating->maxKw, Unit::KiloWatts))
            : self::of(self::figure($outlet->rating->maxV, Unit::Volts) ?? Message::of('plate.unread_volts'), self::figure($outlet->rating->maxA, Unit::Amps), self::figure($outlet->rating->maxKw, Unit::KiloWatts));
    }

    /** Its stalls by their labels; where there are many, only those that something is known against. Null where nobody told them apart. */
    public static function stalls(Outlet $outlet): ?Message
    {
        $count = Amount::count(count($outlet->site->stalls));
        $told = count($outlet->site->stalls) > self::MOST_STALLS_NAMED ? $outlet->faultyStalls() : $outlet->site->stalls;
        $labels = array_map(static fn (Stall $s): Message => $s->message(), $told);

        return match (true) {
            $outlet->site->stalls === [] => null,
            $labels === [] => Message::of('plate.stalls_many', count: $count),
            default => Message::of('plate.stalls', count: $count, stalls: Listing::comma($labels)),
        };
    }

    public static function plate(Plate $plate): Message
    {
        $boost = $plate->boostA === null ? null : Message::of(
            'plate.for_minutes', amps: Amount::asGiven($plate->boostA, Unit::Amps), minutes: Amount::asGiven($plate->boostMinutes, Unit::Minutes),
        );

        return self::of(self::figure($plate->maxV, Unit::Volts), self::figure($plate->continuousA, Unit::Amps), $boost, self::figure($plate->maxKw, Unit::KiloWatts));
    }

    public static function inlet(Inlet $inlet, CurrentKind $current): Message
    {
        $isDc = $current === CurrentKind::Dc;
        $side = $isDc ? $inlet->dc : $inlet->ac;

        return $side === null
            ? Message::of('plate.no_side', current: $current->message())
            : self::of(self::figure($isDc ? $inlet->dc?->maxV : $inlet->ac?->ratedV(), Unit::Volts), self::figure($side->maxA, Unit::Amps), self::figure($side->maxKw, Unit::KiloWatts));
    }

    public static function converter(BoostConverter $converter): Message
    {
        $input = $converter->inputV === null ? null : Message::of('plate.input', volts: Amount::asGiven($converter->inputV, Unit::Volts));

        return self::of($input, self::figure($converter->maxInputA, Unit::Amps), self::figure($converter->maxKw, Unit::KiloWatts));
    }

    public static function pack(Pack $pack): Message
    {
        $volts = $pack->voltageBySoc === null ? null : Message::of(
            'plate.volts_span', least: Amount::asGiven($pack->voltageBySoc->lowest()), most: Amount::asGiven($pack->voltageBySoc->highest(), Unit::Volts),
        );

        return self::of($volts, self::figure($pack->usableKwh, Unit::KiloWattHours));
    }

    private static function figure(?float $value, Unit $unit): ?Amount
    {
        return $value === null ? null : Amount::asGiven($value, $unit);
    }

    private static function of(Amount|Message|null ...$figures): Message
    {
        $read = array_values(array_filter($figures, static fn (Amount|Message|null $f): bool => $f !== null));

        return $read === [] ? Message::of('plate.unread') : Message::of('plate.line', figures: Listing::dotted($read));
    }
}
