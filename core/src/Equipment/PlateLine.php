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
        $about = self::about($outlet->origins);

        return $outlet->rating->current === CurrentKind::Ac
            ? self::of($about('supply.volts', $outlet->feed->supply?->volts, Unit::Volts), $about('supply.amps', $outlet->feed->supply?->amps, Unit::Amps), $about('max_kw', $outlet->rating->maxKw, Unit::KiloWatts))
            : self::of($about('max_v', $outlet->rating->maxV, Unit::Volts) ?? Message::of('plate.unread_volts'), $about('max_a', $outlet->rating->maxA, Unit::Amps), $about('max_kw', $outlet->rating->maxKw, Unit::KiloWatts));
    }

    /** Its stalls by their labels; where there are many, only faulty ones. Null where they aren't distinguished. */
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

    /** @param  int  $index  of the inlet in its car */
    public static function inlet(Vehicle $vehicle, int $index, CurrentKind $current): Message
    {
        $inlet = $vehicle->inlets[$index];
        $side = $current === CurrentKind::Dc ? $inlet->dc : $inlet->ac;
        $about = self::about($vehicle->origins, "inlets.{$index}.{$current->value}.");

        return $side === null
            ? Message::of('plate.no_side', current: $current->message())
            : self::of($about('max_v', $inlet->ratedV($current), Unit::Volts), $about('max_a', $side->maxA, Unit::Amps), $about('max_kw', $side->maxKw, Unit::KiloWatts));
    }

    public static function converter(BoostConverter $converter): Message
    {
        $input = $converter->inputV === null ? null : Message::of('plate.input', volts: Amount::asGiven($converter->inputV, Unit::Volts));

        return self::of($input, self::figure($converter->maxInputA, Unit::Amps), self::figure($converter->maxKw, Unit::KiloWatts));
    }

    public static function pack(Vehicle $vehicle): Message
    {
        $curve = $vehicle->pack->voltageBySoc;
        $nominal = $vehicle->pack->nominalV === null ? null : Message::of('plate.nominal', volts: Amount::asGiven($vehicle->pack->nominalV, Unit::Volts));
        $volts = $curve === null ? null : Message::of('plate.volts_span', least: Amount::asGiven($curve->lowest()), most: Amount::asGiven($curve->highest(), Unit::Volts));
        $isAbout = ($vehicle->origins['pack.voltage_by_soc'] ?? null)?->origin->isAbout() === true;

        return self::of($nominal ?? ($volts !== null && $isAbout ? Message::of('plate.about', figure: $volts) : $volts), self::about($vehicle->origins)('pack.usable_kwh', $vehicle->pack->usableKwh, Unit::KiloWattHours));
    }

    /**
     * Marks a figure that nobody has read.
     *
     * @param  array<string, FactOrigin>  $origins
     * @param  string  $at  before the path of each figure
     * @return \Closure(string, float|null, Unit): (Amount|Message|null)
     */
    private static function about(array $origins, string $at = ''): \Closure
    {
        return static function (string $path, ?float $value, Unit $unit) use ($origins, $at): Amount|Message|null {
            $figure = self::figure($value, $unit);

            return $figure !== null && ($origins[$at.$path] ?? null)?->origin->isAbout() === true ? Message::of('plate.about', figure: $figure) : $figure;
        };
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
