<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\BoostConverter;
use Harmozon\Core\Equipment\Cable;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Equipment\PlateLine;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Words\Message;

/** The links along a chain, station first, pack last. */
final class Links
{
    /** @return list<Link> with their plates as they are now */
    public static function of(Chain $chain, VoltagePlan $plan, Conditions $conditions): array
    {
        $cable = $chain->outlet->fittings->cable;

        return [
            self::outlet($chain),
            ...($cable === null ? [] : [self::cable($chain, $cable, $conditions)]),
            ...array_map(static fn (Adapter $a): Link => self::adapter($a, $conditions), $chain->adapters),
            self::inlet($chain),
            ...($plan->converter === null ? [] : [self::converter($chain, $plan->converter)]),
            self::pack($chain),
        ];
    }

    private static function outlet(Chain $chain): Link
    {
        $outlet = $chain->outlet;
        $name = Message::of('link.named', name: $outlet->name);

        return new Link($outlet->id, LinkKind::Outlet, $outlet->id, $name, $name, PlateLine::outlet($outlet), EffectivePlate::asPrinted(Plate::of(
            $outlet->rating->maxV,
            $outlet->rating->maxA ?? $outlet->feed->supply?->amps,
            maxKw: $outlet->rating->maxKw,
        )), self::about($chain, $outlet->rating->maxA === null ? Fact::SupplyA : Fact::StationA, Fact::StationKw));
    }

    private static function cable(Chain $chain, Cable $cable, Conditions $conditions): Link
    {
        return new Link(
            Chain::CABLE, LinkKind::Cable, $chain->outlet->id,
            Message::of('link.cable'), Message::of('link_label.cable'),
            PlateLine::plate($cable->plate), EffectivePlate::ofCable($cable, $conditions),
        );
    }

    private static function adapter(Adapter $adapter, Conditions $conditions): Link
    {
        $name = Message::of('link.named', name: $adapter->name);

        return new Link($adapter->id, LinkKind::Adapter, $adapter->id, $name, $name, PlateLine::plate($adapter->rating->plate), EffectivePlate::ofAdapter($adapter, $conditions));
    }

    private static function inlet(Chain $chain): Link
    {
        $vehicle = $chain->vehicle;
        $side = $chain->current === CurrentKind::Dc ? $chain->inlet->dc : $chain->inlet->ac;

        return new Link(
            $chain->inletLink(), LinkKind::Inlet, $vehicle->id,
            Message::of('link.inlet', vehicle: $vehicle->name),
            Message::of('link_label.inlet', vehicle: $vehicle->name, coupler: $chain->inlet->coupler->name()),
            PlateLine::inlet($vehicle, $chain->inletIndex, $chain->current),
            EffectivePlate::asPrinted(Plate::of($chain->inlet->ratedV($chain->current), $side?->maxA, maxKw: $side?->maxKw)),
            $chain->current === CurrentKind::Dc ? self::about($chain, Fact::InletA, Fact::InletKw) : self::about($chain, Fact::AcA, Fact::AcKw),
        );
    }

    /** @return list<Quantity> */
    private static function about(Chain $chain, Fact $amps, Fact $kw): array
    {
        return [
            ...(AssumedFact::isAny($chain, [$amps]) ? [Quantity::Amps] : []),
            ...(AssumedFact::isAny($chain, [$kw]) ? [Quantity::Kw] : []),
        ];
    }

    private static function converter(Chain $chain, BoostConverter $converter): Link
    {
        return new Link(
            Limits::CONVERTER, LinkKind::Converter, $chain->vehicle->id,
            Message::of('link.converter'), Message::of('link_label.converter'),
            PlateLine::converter($converter),
            EffectivePlate::asPrinted(Plate::of(continuousA: $converter->maxInputA, maxKw: $converter->maxKw)),
        );
    }

    /** Its volts and power are part of the charge curve, so a session isn't checked against a rating of it. */
    private static function pack(Chain $chain): Link
    {
        $vehicle = $chain->vehicle;

        return new Link(
            Limits::PACK, LinkKind::Pack, $vehicle->id,
            Message::of('link.pack', vehicle: $vehicle->name), Message::of('link_label.pack', vehicle: $vehicle->name),
            PlateLine::pack($vehicle), EffectivePlate::asPrinted(Plate::of()),
        );
    }
}
