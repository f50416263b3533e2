<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\FactOrigin;
use Harmozon\Core\Equipment\Supply;

/**
 * A fact about a chain that nobody has read, with the value used instead: typical, learned or estimated. Power, time
 * and price may depend on it; safety never does.
 */
final readonly class AssumedFact
{
    /** Facts that DC power depends on; energy depends on others. */
    private const DC = [Fact::PackV, Fact::ChargeCurve, Fact::InletA, Fact::InletKw, Fact::StationA, Fact::StationKw, Fact::CabinetKw];

    private const AC = [Fact::AcA, Fact::AcKw, Fact::SupplyA, Fact::StationA, Fact::StationKw];

    private function __construct(public Fact $fact, public UnreadFact $unread, public FactOrigin $origin)
    {
    }

    /** @return list<self> those that the power of a chain rests on */
    public static function ofPower(Chain $chain): array
    {
        return self::among($chain->current === CurrentKind::Dc ? self::DC : self::AC, $chain);
    }

    /** @return list<self> those that the minutes of a session rest on */
    public static function ofSession(Chain $chain): array
    {
        return [...self::ofPower($chain), ...self::among([Fact::UsableKwh], $chain)];
    }

    public static function packVolts(Chain $chain): ?self
    {
        return self::among([Fact::PackV], $chain)[0] ?? null;
    }

    /**
     * @param  list<Fact>  $facts
     * @return bool whether one of them is typical, learned or estimated, and nobody has read it
     */
    public static function isAny(Chain $chain, array $facts): bool
    {
        return self::among($facts, $chain) !== [];
    }

    /**
     * @param  list<Fact>  $facts
     * @return list<self>
     */
    private static function among(array $facts, Chain $chain): array
    {
        if ($chain->vehicle->origins === [] && $chain->outlet->origins === []) {
            return [];
        }
        $assumed = [];
        foreach ($facts as $fact) {
            $unread = UnreadFact::of($fact, $chain);
            $origin = ($fact->owner() === FactOwner::Outlet ? $chain->outlet->origins : $chain->vehicle->origins)[$unread->path] ?? null;
            if ($origin?->origin->isAbout() === true) {
                $assumed[] = new self($fact, $unread, $origin);
            }
        }

        return $assumed;
    }

    /** The chain with this fact at the end of its spread that takes longer. */
    public function slower(Chain $chain): Chain
    {
        return $this->put($chain, $this->fact === Fact::UsableKwh ? $this->origin->high : $this->origin->low);
    }

    /** The chain with this fact at the end of its spread that takes less time. */
    public function faster(Chain $chain): Chain
    {
        return $this->put($chain, $this->fact === Fact::UsableKwh ? $this->origin->low : $this->origin->high);
    }

    /**
     * The chain at the end of this fact's spread where the current is highest: for a battery, the lowest voltage. What
     * a piece may have to carry is judged by it.
     */
    public function hungrier(Chain $chain): Chain
    {
        return $this->fact === Fact::PackV ? $this->slower($chain) : $this->faster($chain);
    }

    /** Without a known spread the fact stays as it is. */
    private function put(Chain $chain, float|Curve|null $value): Chain
    {
        return match (true) {
            $value instanceof Curve => $this->putCurve($chain, $value),
            $value === null => $chain,
            default => $this->putFigure($chain, $value),
        };
    }

    private function putCurve(Chain $chain, Curve $curve): Chain
    {
        $vehicle = $chain->vehicle;

        return $chain->of(vehicle: $this->fact === Fact::ChargeCurve
            ? $vehicle->withChargeCurve($curve)
            : $vehicle->withPack($vehicle->pack->atVolts($curve)));
    }

    private function putFigure(Chain $chain, float $value): Chain
    {
        [$vehicle, $outlet, $dc, $ac] = [$chain->vehicle, $chain->outlet, $chain->inlet->dc, $chain->inlet->ac];

        return match ($this->fact) {
            Fact::UsableKwh => $chain->of(vehicle: $vehicle->withPack($vehicle->pack->holding($value))),
            Fact::StationA => $chain->of(outlet: $outlet->limitedTo($value, $outlet->rating->maxKw)),
            Fact::StationKw => $chain->of(outlet: $outlet->limitedTo($outlet->rating->maxA, $value)),
            Fact::CabinetKw => $chain->of(outlet: $outlet->fedBy($outlet->feed->cabinet?->of($value))),
            Fact::SupplyA => $chain->of(outlet: $outlet->suppliedBy(new Supply($outlet->feed->supply?->volts, $value, $outlet->feed->supply?->phases))),
            Fact::InletA => $dc === null ? $chain : $chain->through($chain->inlet->withDc($dc->limitedTo($value, $dc->maxKw))),
            Fact::InletKw => $dc === null ? $chain : $chain->through($chain->inlet->withDc($dc->limitedTo($dc->maxA, $value))),
            Fact::AcA => $ac === null ? $chain : $chain->through($chain->inlet->withAc($ac->limitedTo($value, $ac->maxKw))),
            Fact::AcKw => $ac === null ? $chain : $chain->through($chain->inlet->withAc($ac->limitedTo($ac->maxA, $value))),
            default => $chain,
        };
    }
}
