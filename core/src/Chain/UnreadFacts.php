<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\FactOrigin;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/** The facts about a piece that answers need most and nobody has read yet: missing, or only typical. */
final class UnreadFacts
{
    /** @return int how many */
    public static function ofVehicle(Vehicle $vehicle): int
    {
        $count = self::isUnread(Fact::UsableKwh, $vehicle->pack->usableKwh, $vehicle->origins);
        if (array_filter($vehicle->inlets, static fn (Inlet $i): bool => $i->dc !== null) !== []) {
            $count += self::isUnread(Fact::PackV, $vehicle->pack->voltageBySoc, $vehicle->origins) + self::isUnread(Fact::ChargeCurve, $vehicle->chargeCurveKw, $vehicle->origins);
        }
        foreach ($vehicle->inlets as $i => $inlet) {
            $at = "inlets.{$i}.";
            if ($inlet->dc !== null) {
                foreach ([[Fact::VehicleLanguages, $inlet->dc->signalling], [Fact::InletMaxV, $inlet->dc->maxV], [Fact::InletA, $inlet->dc->maxA]] as [$fact, $value]) {
                    $count += self::isUnread($fact, $value, $vehicle->origins, $at);
                }
            }
            if ($inlet->ac !== null) {
                foreach ([[Fact::AcMinV, $inlet->ac->minV], [Fact::AcMaxV, $inlet->ac->maxV], [Fact::AcKw, $inlet->ac->maxKw], [Fact::AcPhases, $inlet->ac->phases]] as [$fact, $value]) {
                    $count += self::isUnread($fact, $value, $vehicle->origins, $at);
                }
            }
        }

        return $count;
    }

    /** @return int how many */
    public static function ofOutlet(Outlet $outlet): int
    {
        $facts = $outlet->rating->current === CurrentKind::Ac
            ? [[Fact::SupplyV, $outlet->mainsV()], [Fact::SupplyA, $outlet->feed->supply->amps ?? $outlet->rating->maxA], [Fact::SupplyPhases, $outlet->feed->supply?->phases]]
            : [[Fact::StationMinV, $outlet->rating->minV], [Fact::StationMaxV, $outlet->rating->maxV], [Fact::StationA, $outlet->rating->maxA], [Fact::StationKw, $outlet->rating->maxKw], [Fact::StationLanguages, $outlet->rating->signalling]];
        $count = self::isUnread(Fact::Access, $outlet->site->access->kind, $outlet->origins);
        foreach ($facts as [$fact, $value]) {
            $count += self::isUnread($fact, $value, $outlet->origins);
        }

        return $count;
    }

    /** @return int how many; what is typical of an adapter was read as not known */
    public static function ofAdapter(Adapter $adapter): int
    {
        $facts = [$adapter->passes->current, $adapter->rating->plate->maxV, $adapter->rating->plate->continuousA, $adapter->trust->certification, $adapter->trust->recalled, $adapter->trust->damaged];

        return count(array_filter($facts, static fn (mixed $value): bool => $value === null));
    }

    /**
     * @param  array<string, FactOrigin>  $origins
     * @param  string  $at  of the inlet in its car's record
     * @return int 1 where it is missing, or only typical
     */
    private static function isUnread(Fact $fact, mixed $value, array $origins, string $at = ''): int
    {
        $origin = $origins[$at.$fact->path()] ?? null;

        return $origin?->isByStandard() !== true && ($value === null || $origin?->origin->isAbout() === true) ? 1 : 0;
    }
}
