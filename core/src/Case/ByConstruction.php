<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Equipment\AcSide;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\DcSide;
use Harmozon\Core\Equipment\FactOrigin;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Origin;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Pack;
use Harmozon\Core\Equipment\PhaseCount;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Equipment\Standards;
use Harmozon\Core\Equipment\Supply;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Words\Message;

/**
 * Fills in facts that nobody has read but that a standard or the car's own design fixes: its origin is `standard`.
 * Whatever was read stays as it is; where it contradicts a standard, it is believed and marked.
 */
final class ByConstruction
{
    /** @param  array<string, FactOrigin>  $origins */
    private function __construct(private array $origins)
    {
    }

    public static function vehicle(Vehicle $vehicle): Vehicle
    {
        $self = new self($vehicle->origins);
        $inlets = array_map(static fn (Inlet $inlet, int $i): Inlet => $self->inlet($inlet, "inlets.{$i}.", $vehicle->pack), $vehicle->inlets, array_keys($vehicle->inlets));

        return $vehicle->completed($inlets, $self->origins);
    }

    public static function outlet(Outlet $outlet): Outlet
    {
        $self = new self($outlet->origins);
        $isAc = $outlet->rating->current === CurrentKind::Ac;
        $family = $outlet->coupler->family;
        $rating = $outlet->rating->speaking($self->protocols($outlet->rating->signalling, $isAc ? Standards::acProtocol($family) : Standards::dcProtocol($family), Fact::StationLanguages->path()));
        $supply = $isAc ? $self->supply($outlet->feed->supply, $outlet->coupler) : $outlet->feed->supply;

        return $outlet->completed($rating, $supply, $self->origins);
    }

    private function inlet(Inlet $inlet, string $at, Pack $pack): Inlet
    {
        $family = $inlet->coupler->family;

        return new Inlet(
            $inlet->coupler,
            $inlet->port,
            $inlet->dc === null ? null : $this->dc($inlet->dc, $family, $at, $pack),
            $inlet->ac === null ? null : $this->ac($inlet->ac, $inlet->coupler, $at),
        );
    }

    private function dc(DcSide $side, CouplerFamily $inlet, string $at, Pack $pack): DcSide
    {
        $protocols = $this->protocols($side->signalling, Standards::dcProtocol($inlet), $at.Fact::VehicleLanguages->path());
        $ownV = self::ownV($side, $pack);
        // The inlet of a car is built for the car's own battery: no figure, but enough.
        if ($side->maxV === null) {
            $this->fixes($at.Fact::InletMaxV->path(), Message::of('standard.own_battery'));
        } elseif ($ownV !== null && $side->maxV < $ownV) {
            $this->contradicts($at.Fact::InletMaxV->path(), Message::of('standard.own_battery'));
        }

        return $protocols === null ? $side : $side->speaking($protocols);
    }

    /** The most volts that the battery, half of a split one, or the converter's input puts on the inlet; null when not known. */
    private static function ownV(DcSide $side, Pack $pack): ?float
    {
        $highest = $pack->voltageBySoc?->highest();
        $ways = [
            ...($highest === null ? [] : [$highest]),
            ...($highest !== null && $side->splitPack !== false ? [$highest / 2] : []),
            ...($side->boostConverter === null ? [] : [$side->boostConverter->inputV ?? 0.0]),
        ];

        return $ways === [] ? null : min($ways);
    }

    private function ac(AcSide $side, Coupler $coupler, string $at): AcSide
    {
        $inlet = $coupler->family;
        [$minV, $maxV] = [$side->minV, $side->maxV];
        $window = Standards::chargerWindow($inlet);
        if ($window !== null) {
            $standard = Standards::ofVolts($inlet);
            if ($minV === null && ($maxV === null || $maxV >= $window->lowestV)) {
                $minV = $this->fixed($at.Fact::AcMinV->path(), $window->lowestV, $standard);
            } elseif ($side->minV > $window->highestV) {
                $this->contradicts($at.Fact::AcMinV->path(), $standard);
            }
            if ($maxV === null && ($side->minV === null || $side->minV <= $window->highestV)) {
                $maxV = $this->fixed($at.Fact::AcMaxV->path(), $window->highestV, $standard);
            } elseif ($side->maxV !== null && $side->maxV < $window->lowestV) {
                $this->contradicts($at.Fact::AcMaxV->path(), $standard);
            }
        }
        $phases = $this->phases($side->phases, Standards::chargerPhases($inlet), $at.Fact::AcPhases->path(), Standards::ofPhases($coupler));

        return new AcSide($phases, $side->maxA, $side->maxKw, $minV, $maxV, $side->minV === null && $minV !== null, $side->maxV === null && $maxV !== null);
    }

    private function supply(?Supply $supply, Coupler $outlet): ?Supply
    {
        $count = Standards::supplyPhases($outlet);
        $phases = $this->phases($supply?->phases, $count, Fact::SupplyPhases->path(), Standards::ofPhases($outlet));

        return $supply === null && $phases === null ? null : new Supply($supply?->volts, $supply?->amps, $phases);
    }

    private function phases(?int $read, ?PhaseCount $count, string $path, ?Message $standard): ?int
    {
        if ($count === null) {
            return $read;
        }
        if ($read !== null) {
            if (! $count->isAtLeast && $read !== $count->phases) {
                $this->contradicts($path, $standard);
            }

            return $read;
        }
        $this->fixes($path, $standard, $count->isAtLeast ? (float) PhaseCount::MOST : null);

        return $count->phases;
    }

    /**
     * @param  list<Signalling>|null  $read
     * @return list<Signalling>|null
     */
    private function protocols(?array $read, ?Signalling $only, string $path): ?array
    {
        if ($only === null) {
            return $read;
        }
        if ($read === null) {
            $this->fixes($path, Standards::ofProtocol($only));

            return [$only];
        }
        if (! in_array($only, $read, true)) {
            $this->contradicts($path, Standards::ofProtocol($only));
        }

        return $read;
    }

    private function fixed(string $path, float $value, ?Message $standard): float
    {
        $this->fixes($path, $standard);

        return $value;
    }

    private function fixes(string $path, ?Message $standard, ?float $high = null): void
    {
        $this->origins[$path] = new FactOrigin(Origin::Standard, high: $high, standard: $standard);
    }

    private function contradicts(string $path, ?Message $standard): void
    {
        if ($standard !== null) {
            $this->origins[$path] = ($this->origins[$path] ?? new FactOrigin(Origin::Read))->contradicting($standard);
        }
    }
}
