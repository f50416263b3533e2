<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;

/** Gathers the limits of every link of a chain. */
final class Limits
{
    /** The car's step-up converter as a link. */
    public const CONVERTER = 'converter';

    /** The battery as a link. */
    public const PACK = 'pack';

    /** @var list<AmpLimit> */
    private array $amps = [];

    /** @var list<KwLimit> */
    private array $kw = [];

    /** @var list<UnreadFact> */
    private array $unread = [];

    /** @var list<HeatLink> */
    private array $heat = [];

    /** @var list<LaterLimit> */
    private array $later = [];

    private ?PackWarmth $warmth = null;

    private function __construct(private readonly Chain $chain, private readonly Conditions $conditions)
    {
    }

    /** The limits of a chain at its starting heat loads; null when the volts at the plug are not known. */
    public static function ofChain(Chain $chain, VoltagePlan $plan, Conditions $conditions): ?LimitSet
    {
        if ($plan->plugV === null) {
            return null;
        }
        $limits = new self($chain, $conditions);
        $limits->station();
        $limits->adapters();
        $chain->current === CurrentKind::Dc ? $limits->vehicleDc() : $limits->vehicleAc();
        $limits->converter($plan);

        $drawKw = $conditions->cabin->kw / Efficiency::of($chain, $plan);
        $curve = $limits->curve($drawKw);

        return new LimitSet($plan->plugV, $chain->phases(), $limits->amps, $limits->kw, $curve, $limits->unread, new ChangingLimits($limits->heat, $limits->later, $limits->warmth), $drawKw);
    }

    /** What the vehicle alone would take through this inlet, at its own volts, in the same conditions. */
    public static function ofVehicle(Chain $chain, Conditions $conditions): ?LimitSet
    {
        $limits = new self($chain, $conditions);
        $drawKw = $conditions->cabin->kw / Efficiency::ofCurrent($chain->current);
        if ($chain->current === CurrentKind::Dc) {
            $limits->vehicleDc();
            $volts = $chain->vehicle->pack->voltageBySoc;

            $curve = $limits->curve($drawKw);

            return $volts === null ? null : new LimitSet($volts, 1, $limits->amps, $limits->kw, $curve, $limits->unread, new ChangingLimits(warmth: $limits->warmth), $drawKw);
        }
        $limits->vehicleAc();
        $side = $chain->inlet->ac;

        return $side?->maxV === null ? null : new LimitSet(Curve::level($side->maxV), $side->phases ?? 1, $limits->amps, $limits->kw, null, $limits->unread, drawKw: $drawKw);
    }

    private function station(): void
    {
        $outlet = $this->chain->outlet;
        $id = $outlet->id;
        $this->addAmps(BindingCode::StationCurrent, $id, $outlet->rating->maxA);
        $this->addKw(BindingCode::StationPower, $id, $outlet->rating->maxKw);
        $this->addKw(BindingCode::StationPower, $id, $outlet->feed->cabinet?->kw);
        $this->addKw(BindingCode::StationPower, $id, $this->conditions->faults->deratedKw);
        $this->neighbour();
        if ($outlet->fittings->cable !== null) {
            $this->addHeat(BindingCode::CableCurrent, Chain::CABLE, EffectivePlate::ofCable($outlet->fittings->cable, $this->conditions)->duty($this->conditions->ambientC));
        }
        if ($this->chain->current === CurrentKind::Ac) {
            $this->addAmps(BindingCode::SupplyCurrent, $id, $outlet->feed->supply?->amps);
            $this->ask(Fact::SupplyA, $outlet->feed->supply->amps ?? $outlet->rating->maxA);
        } else {
            $this->ask(Fact::StationA, $outlet->rating->maxA);
            $this->ask(Fact::StationKw, $outlet->rating->maxKw);
        }
    }

    /** The cabinet's partner, there already or arriving later. */
    private function neighbour(): void
    {
        $cabinet = $this->chain->outlet->feed->cabinet;
        $isDc = $this->chain->current === CurrentKind::Dc;
        $comes = $isDc ? $this->conditions->faults->neighbourAtMinute : null;
        $leaves = $isDc ? ($this->conditions->faults->neighbourLeavesAtMinute ?? INF) : INF;
        $isThere = $cabinet?->partnerActive === true && $leaves > 0;
        if ($isThere) {
            $this->share($cabinet->shareKw(), 0.0, $leaves);
        }
        // One that is there already comes again only after it has left.
        if ($comes !== null && (! $isThere || $comes >= $leaves)) {
            $this->share($cabinet?->shareOnceJoinedKw(), $comes, $comes >= $leaves ? INF : $leaves);
        }
    }

    /** @param  float|null  $kw  null when nobody has read what the share depends on */
    private function share(?float $kw, float $fromMinute, float $untilMinute): void
    {
        if ($kw === null) {
            $this->unread[] = UnreadFact::cabinetShare($this->chain);
        } elseif ($kw < INF) {
            $limit = new KwLimit(BindingCode::Sharing, $this->chain->outlet->id, $kw, $untilMinute);
            if ($fromMinute > 0) {
                $this->later[] = new LaterLimit($fromMinute, $limit);
            } else {
                $this->kw[] = $limit;
            }
        }
    }

    private function adapters(): void
    {
        foreach ($this->chain->adapters as $adapter) {
            $duty = EffectivePlate::ofAdapter($adapter, $this->conditions)->duty($this->conditions->ambientC);
            $this->addHeat(BindingCode::AdapterCurrent, $adapter->id, $duty);
            $this->addKw(BindingCode::AdapterPower, $adapter->id, $adapter->rating->plate->maxKw);
        }
    }

    private function vehicleDc(): void
    {
        $side = $this->chain->inlet->dc;
        $this->addAmps(BindingCode::VehicleCurrent, $this->chain->inletLink(), $side?->maxA);
        $this->addKw(BindingCode::VehicleCurve, self::PACK, $side?->maxKw);
        $this->ask(Fact::InletA, $side?->maxA);
        // Its charge curve bounds it too.
        $this->ask(Fact::InletKw, $side->maxKw ?? $this->chain->vehicle->chargeCurveKw);
    }

    private function vehicleAc(): void
    {
        $side = $this->chain->inlet->ac;
        $this->addAmps(BindingCode::OnboardCharger, $this->chain->inletLink(), $side?->maxA);
        $this->addKw(BindingCode::OnboardCharger, $this->chain->inletLink(), $side?->maxKw);
        $this->ask(Fact::AcA, $side?->maxA);
        $this->ask(Fact::AcKw, $side?->maxKw);
    }

    private function converter(VoltagePlan $plan): void
    {
        $this->addKw(BindingCode::ConverterPower, self::CONVERTER, $plan->converter?->maxKw);
        $this->addAmps(BindingCode::ConverterCurrent, self::CONVERTER, $plan->converter?->maxInputA);
        if ($plan->converter !== null) {
            $this->ask(Fact::ConverterKw, $plan->converter->maxKw ?? $plan->converter->maxInputA);
        }
    }

    /** @param  float  $drawKw  what the car takes for itself (kW at the plug): its curve tells what the pack takes */
    private function curve(float $drawKw): ?CurveLimit
    {
        $curve = $this->chain->vehicle->chargeCurveKw;
        if ($this->chain->current === CurrentKind::Ac) {
            return null;
        }
        $this->ask(Fact::ChargeCurve, $curve);
        if ($curve === null) {
            return null;
        }
        $packC = $this->conditions->packTemperatureC();
        if ($packC !== null && $this->conditions->pack->preparedMinutes !== null) {
            $packC = PackWarmth::prepared($this->chain->vehicle->pack, $packC, $this->conditions->pack->preparedMinutes);
        }
        $factor = $packC === null ? 1.0 : ColdFactor::at($packC);
        $this->warmth = $packC === null || $factor >= 1 ? null : PackWarmth::of($this->chain->vehicle->pack, $packC);

        return new CurveLimit($factor < 1 ? BindingCode::ColdPack : BindingCode::VehicleCurve, self::PACK, ($factor < 1 ? $curve->times($factor) : $curve)->plus($drawKw), $drawKw);
    }

    /** An unread power limit could be lower than the known ones, so the result is only an upper limit. */
    private function ask(Fact $fact, float|Curve|null $value): void
    {
        if ($value === null) {
            $this->unread[] = UnreadFact::of($fact, $this->chain);
        }
    }

    private function addHeat(BindingCode $code, string $linkId, ?Duty $duty): void
    {
        if ($duty === null) {
            return;
        }
        $link = new HeatLink($code, $linkId, $duty, $duty->after($this->conditions->earlierUse->thetaOf($linkId), 0.0, $this->conditions->earlierUse->restedMinutes));
        $this->heat[] = $link;
        $this->addAmps($code, $linkId, $link->allowsA());
    }

    private function addAmps(BindingCode $code, string $linkId, ?float $amps): void
    {
        if ($amps !== null) {
            $this->amps[] = new AmpLimit($code, $linkId, $amps);
        }
    }

    private function addKw(BindingCode $code, string $linkId, ?float $kw): void
    {
        if ($kw !== null) {
            $this->kw[] = new KwLimit($code, $linkId, $kw);
        }
    }
}
