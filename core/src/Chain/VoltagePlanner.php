<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\BoostConverter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Works out the voltage at the plug from the battery, the station's range, and the car's ways of matching them. */
final class VoltagePlanner
{
    /** What a plan says of a battery below the station's lowest volts. */
    public const BELOW_FLOOR = 'voltage.below_floor';

    /** @return non-empty-list<VoltagePlan> every way the car has; the better of them is taken */
    public function plans(Chain $chain, Conditions $conditions): array
    {
        return $chain->current === CurrentKind::Ac
            ? [$this->mains($chain)]
            : $this->direct($chain, $conditions);
    }

    /** The plan with the same mode as another one; the first where there is none. */
    public function alike(VoltagePlan $plan, Chain $chain, Conditions $conditions): VoltagePlan
    {
        $plans = $this->plans($chain, $conditions);
        foreach ($plans as $other) {
            if ($other->mode === $plan->mode) {
                return $other;
            }
        }

        return $plans[0];
    }

    private function mains(Chain $chain): VoltagePlan
    {
        $volts = $chain->outlet->mainsV();
        $side = $chain->inlet->ac;
        if ($side === null) {
            return VoltagePlan::fails(Message::of('voltage.no_ac_side'));
        }
        $phases = [
            ...($chain->outlet->feed->supply?->phases === null ? [UnreadFact::of(Fact::SupplyPhases, $chain)] : []),
            ...($side->phases === null ? [UnreadFact::of(Fact::AcPhases, $chain)] : []),
        ];
        $least = $side->minV === null ? [UnreadFact::of(Fact::AcMinV, $chain)] : [];
        if ($volts === null) {
            return VoltagePlan::unknown([UnreadFact::of(Fact::SupplyV, $chain), ...$least, ...$phases], [$side->isMinVByStandard ? 0.0 : $side->minV ?? 0.0, INF]);
        }
        if ($side->minV !== null && $volts < $side->minV && $side->isMinVByStandard) {
            // A charger may take less than its standard asks for.
            $least = [UnreadFact::of(Fact::AcMinV, $chain)];
        } elseif ($side->minV !== null && $volts < $side->minV) {
            return VoltagePlan::fails(Message::of('voltage.supply_low', supply: Amount::volts($volts), starts: Amount::volts($side->minV)));
        }

        return VoltagePlan::session(VoltageMode::Mains, Curve::level($volts), missing: [...$least, ...$phases]);
    }

    /** @return non-empty-list<VoltagePlan> */
    private function direct(Chain $chain, Conditions $conditions): array
    {
        if ($chain->inlet->dc === null) {
            return [VoltagePlan::fails(Message::of('voltage.no_dc_side'))];
        }
        $pack = $chain->vehicle->pack->voltageBySoc;
        $max = $chain->outlet->rating->maxV;
        if ($pack === null) {
            return [VoltagePlan::unknown([UnreadFact::of(Fact::PackV, $chain), ...$this->unreadWindow($chain)], [$chain->outlet->rating->minV ?? 0.0, $max ?? INF])];
        }
        if ($max === null) {
            return [$this->belowUnreadCeiling($pack, $chain, $conditions)];
        }

        return $pack->at($conditions->charge->socFrom) <= $max
            ? [$this->within($pack, VoltageMode::Native, $chain, $max, $conditions)]
            : $this->aboveCeiling($pack, $chain, $max, $conditions);
    }

    /** @return list<UnreadFact> ends of the station's window that nobody has read */
    private function unreadWindow(Chain $chain): array
    {
        return [
            ...($chain->outlet->rating->maxV === null ? [UnreadFact::of(Fact::StationMaxV, $chain)] : []),
            ...($chain->outlet->rating->minV === null ? [UnreadFact::of(Fact::StationMinV, $chain)] : []),
        ];
    }

    /** The station's maximum may be above the battery's voltage, within its range, or below it, where the car has to step up. */
    private function belowUnreadCeiling(Curve $pack, Chain $chain, Conditions $conditions): VoltagePlan
    {
        $min = $chain->outlet->rating->minV;
        $start = $pack->at($conditions->charge->socFrom);
        if ($min !== null && $start < $min) {
            return self::belowFloor($start, $min);
        }
        $least = $start;
        if ($chain->inlet->dc?->boostConverter !== null) {
            $least = min($least, $min ?? 0.0);
        }
        $half = $pack->times(0.5)->at($conditions->charge->socFrom);
        if ($chain->inlet->dc?->splitPack !== false && $half >= ($min ?? 0.0)) {
            $least = min($least, $half);
        }

        return VoltagePlan::unknown([UnreadFact::of(Fact::StationMaxV, $chain), ...($min === null ? [UnreadFact::of(Fact::StationMinV, $chain)] : [])], [$least, $pack->highestBetween($conditions->charge->socFrom, $conditions->charge->socTo)], $pack);
    }

    /** The plug follows the pack (or half of it), from the station's floor up to its ceiling. */
    private function within(Curve $plugV, VoltageMode $mode, Chain $chain, float $max, Conditions $conditions): VoltagePlan
    {
        $min = $chain->outlet->rating->minV;
        $start = $plugV->at($conditions->charge->socFrom);
        if ($min !== null && $start < $min) {
            return self::belowFloor($start, $min);
        }

        return VoltagePlan::session(
            $mode,
            $plugV,
            $plugV->firstAbove($max, $conditions->charge->socFrom, $conditions->charge->socTo),
            missing: $min === null ? [UnreadFact::of(Fact::StationMinV, $chain)] : [],
        );
    }

    /** @return non-empty-list<VoltagePlan> by the car's own means: half its pack, a step-up, or neither */
    private function aboveCeiling(Curve $pack, Chain $chain, float $max, Conditions $conditions): array
    {
        $side = $chain->inlet->dc;
        $stepped = $side?->boostConverter === null ? null : $this->steppedUp($side->boostConverter, $chain, $max);
        if ($side?->splitPack === false) {
            return [$stepped ?? self::aboveAll($pack, $max, $conditions)];
        }
        $half = $pack->times(0.5);
        $split = $half->at($conditions->charge->socFrom) <= $max
            ? $this->within($half, VoltageMode::SplitPack, $chain, $max, $conditions)
            : VoltagePlan::fails(Message::of('voltage.half_above_ceiling', half: Amount::volts($half->at($conditions->charge->socFrom)), ceiling: Amount::volts($max)));
        if ($side?->splitPack === true) {
            return $stepped === null ? [$split] : [$split, $stepped];
        }

        return [match (true) {
            $stepped?->mayRun() === true => $stepped,
            // Whether the pack splits or not makes no difference here.
            ! $split->mayRun() => $stepped ?? $split,
            default => VoltagePlan::unknown([UnreadFact::of(Fact::SplitPack, $chain), ...$split->missing], $split->highestV($conditions) ?? [0.0, INF], $half),
        }];
    }

    private function steppedUp(BoostConverter $converter, Chain $chain, float $max): VoltagePlan
    {
        $min = $chain->outlet->rating->minV;
        $plugV = min($converter->inputV ?? $max, $max);
        if ($min !== null && $plugV < $min) {
            return VoltagePlan::fails(Message::of('voltage.step_up_below_floor', input: Amount::volts($plugV), floor: Amount::volts($min)));
        }

        return VoltagePlan::session(
            VoltageMode::StepUp,
            Curve::level($plugV),
            converter: $converter,
            missing: [
                ...($converter->inputV === null ? [UnreadFact::of(Fact::ConverterV, $chain)] : []),
                ...($min === null ? [UnreadFact::of(Fact::StationMinV, $chain)] : []),
            ],
            possibleV: $converter->inputV === null ? [$min ?? 0.0, $max] : null,
        );
    }

    private static function belowFloor(float $startV, float $floorV): VoltagePlan
    {
        return VoltagePlan::fails(Message::of('voltage.below_floor', pack: Amount::volts($startV), floor: Amount::volts($floorV)));
    }

    private static function aboveAll(Curve $pack, float $max, Conditions $conditions): VoltagePlan
    {
        return VoltagePlan::fails(Message::of(
            'voltage.above_ceiling', pack: Amount::volts($pack->at($conditions->charge->socFrom)), soc: Amount::percent($conditions->charge->socFrom), ceiling: Amount::volts($max),
        ));
    }
}
