<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Power\Limits;

/** The plates along a chain, station first. */
final class Links
{
    /** @return list<Link> */
    public static function of(Chain $chain, VoltagePlan $plan): array
    {
        $links = [self::outlet($chain)];
        $cable = $chain->outlet->cable;
        if ($cable !== null) {
            $links[] = new Link(Chain::CABLE, "the station's cable", LinkKind::Cable, $cable->plate, $cable->ageing, $cable->cooled === true);
        }
        foreach ($chain->adapters as $adapter) {
            $links[] = new Link($adapter->id, $adapter->name, LinkKind::Adapter, $adapter->plate);
        }
        $links[] = self::inlet($chain);
        if ($plan->converter !== null) {
            $links[] = new Link(Limits::CONVERTER, "the car's step-up", LinkKind::Converter, Plate::of(
                continuousA: $plan->converter->maxInputA, maxKw: $plan->converter->maxKw,
            ));
        }

        return $links;
    }

    private static function outlet(Chain $chain): Link
    {
        $outlet = $chain->outlet;

        return new Link($outlet->id, $outlet->name, LinkKind::Outlet, Plate::of(
            $outlet->maxV,
            $outlet->maxA ?? $outlet->supply?->amps,
            maxKw: $outlet->maxKw,
        ));
    }

    private static function inlet(Chain $chain): Link
    {
        $side = $chain->current() === CurrentKind::Dc ? $chain->inlet->dc : $chain->inlet->ac;

        return new Link($chain->inletLink(), 'the inlet of '.$chain->vehicle->name, LinkKind::Inlet, Plate::of($side?->maxV, $side?->maxA, maxKw: $side?->maxKw));
    }
}
