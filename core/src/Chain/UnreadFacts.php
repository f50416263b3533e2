<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\FactOrigin;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/** What nobody has read of a piece yet, of the facts that answers ask for most: missing, or only typical. */
final class UnreadFacts
{
    /** @return int how many */
    public static function ofVehicle(Vehicle $vehicle): int
    {
        $takesDc = array_filter($vehicle->inlets, static fn (Inlet $i): bool => $i->dc !== null) !== [];
        $facts = ['pack.usable_kwh' => $vehicle->pack->usableKwh, ...($takesDc ? ['pack.voltage_by_soc' => $vehicle->pack->voltageBySoc, 'charge_curve_kw' => $vehicle->chargeCurveKw] : [])];
        foreach ($vehicle->inlets as $i => $inlet) {
            if ($inlet->dc !== null) {
                $facts += ["inlets.{$i}.dc.signalling" => $inlet->dc->signalling, "inlets.{$i}.dc.max_v" => $inlet->dc->maxV, "inlets.{$i}.dc.max_a" => $inlet->dc->maxA];
            }
            if ($inlet->ac !== null) {
                $facts += [
                    "inlets.{$i}.ac.min_v" => $inlet->ac->minV, "inlets.{$i}.ac.max_v" => $inlet->ac->maxV, "inlets.{$i}.ac.max_kw" => $inlet->ac->maxKw, "inlets.{$i}.ac.phases" => $inlet->ac->phases,
                ];
            }
        }

        return self::count($facts, $vehicle->origins);
    }

    /** @return int how many */
    public static function ofOutlet(Outlet $outlet): int
    {
        $facts = $outlet->current === CurrentKind::Ac
            ? ['supply.volts' => $outlet->mainsV(), 'supply.amps' => $outlet->supply->amps ?? $outlet->maxA, 'supply.phases' => $outlet->supply?->phases]
            : ['min_v' => $outlet->minV, 'max_v' => $outlet->maxV, 'max_a' => $outlet->maxA, 'max_kw' => $outlet->maxKw, 'signalling' => $outlet->signalling];

        return self::count([...$facts, 'access.kind' => $outlet->access->kind], $outlet->origins);
    }

    /** @return int how many; what is typical of an adapter was read as not known */
    public static function ofAdapter(Adapter $adapter): int
    {
        return self::count([
            'current' => $adapter->current, 'plate.max_v' => $adapter->plate->maxV, 'plate.continuous_a' => $adapter->plate->continuousA,
            'certification' => $adapter->certification, 'recalled' => $adapter->recalled, 'damaged' => $adapter->damaged,
        ], []);
    }

    /**
     * @param  array<string, mixed>  $facts  by path
     * @param  array<string, FactOrigin>  $origins
     */
    private static function count(array $facts, array $origins): int
    {
        return count(array_filter(
            array_keys($facts),
            static fn (string $path): bool => $facts[$path] === null || ($origins[$path] ?? null)?->origin->isAbout() === true,
        ));
    }
}
