<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\DcSide;
use Harmozon\Core\Words\Amount;

/** Works out the volts at the plug from the pack, the station's window, and the car's ways of reaching it. */
final class VoltagePlanner
{
    public function plan(Chain $chain, Conditions $conditions): VoltagePlan
    {
        return $chain->current() === CurrentKind::Ac
            ? $this->mains($chain)
            : $this->direct($chain, $conditions);
    }

    private function mains(Chain $chain): VoltagePlan
    {
        $volts = $chain->outlet->mainsV();
        $side = $chain->inlet->ac;
        if ($volts === null) {
            return VoltagePlan::unknown([Unread::supplyV($chain)]);
        }
        if ($side === null) {
            return VoltagePlan::fails('This inlet has no AC side.');
        }
        if ($side->minV !== null && $volts < $side->minV) {
            return VoltagePlan::fails(sprintf('The supply gives %s and the onboard charger starts at %s.', Amount::volts($volts), Amount::volts($side->minV)));
        }

        return VoltagePlan::session(
            VoltageMode::Mains,
            Curve::level($volts),
            missing: [
                ...($side->minV === null ? [Unread::acWindowFrom($chain)] : []),
                ...($side->maxV === null ? [Unread::acWindowTo($chain)] : []),
            ],
        );
    }

    private function direct(Chain $chain, Conditions $conditions): VoltagePlan
    {
        $side = $chain->inlet->dc;
        if ($side === null) {
            return VoltagePlan::fails('This inlet has no DC side.');
        }
        $pack = $chain->vehicle->pack->voltageBySoc;
        $max = $chain->outlet->maxV;
        if ($pack === null) {
            return VoltagePlan::unknown($max === null ? [Unread::packV($chain), Unread::stationMaxV($chain)] : [Unread::packV($chain)]);
        }
        if ($max === null) {
            return VoltagePlan::unknown([Unread::stationMaxV($chain)], $pack);
        }

        return $pack->at($conditions->socFrom) <= $max
            ? $this->within($pack, VoltageMode::Native, $chain, $max, $conditions)
            : $this->aboveCeiling($pack, $side, $chain, $max, $conditions);
    }

    /** The plug follows the pack (or half of it), from the station's floor up to its ceiling. */
    private function within(Curve $plugV, VoltageMode $mode, Chain $chain, float $max, Conditions $conditions): VoltagePlan
    {
        $min = $chain->outlet->minV;
        $start = $plugV->at($conditions->socFrom);
        if ($min !== null && $start < $min) {
            return VoltagePlan::fails(sprintf('The pack starts at %s and the station cannot go below %s.', Amount::volts($start), Amount::volts($min)));
        }

        return VoltagePlan::session(
            $mode,
            $plugV,
            $plugV->firstAbove($max, $conditions->socFrom, $conditions->socTo),
            missing: $min === null ? [Unread::stationMinV($chain)] : [],
        );
    }

    private function aboveCeiling(Curve $pack, DcSide $side, Chain $chain, float $max, Conditions $conditions): VoltagePlan
    {
        $start = $pack->at($conditions->socFrom);
        $half = $pack->times(0.5);
        if ($side->splitPack === true && $half->at($conditions->socFrom) <= $max) {
            return $this->within($half, VoltageMode::SplitPack, $chain, $max, $conditions);
        }
        if ($side->boostConverter !== null) {
            $plugV = min($side->boostConverter->inputV ?? $max, $max);
            $min = $chain->outlet->minV;
            if ($min !== null && $plugV < $min) {
                return VoltagePlan::fails(sprintf("The car's step-up takes %s and the station cannot go below %s.", Amount::volts($plugV), Amount::volts($min)));
            }

            return VoltagePlan::session(
                VoltageMode::StepUp,
                Curve::level($plugV),
                converter: $side->boostConverter,
                missing: $min === null ? [Unread::stationMinV($chain)] : [],
            );
        }
        if ($side->splitPack === null) {
            return VoltagePlan::unknown([Unread::splitPack($chain)]);
        }

        return VoltagePlan::fails(sprintf(
            'The pack is at %s when it arrives with %s, the station ends at %s, and the car has no way to step up.',
            Amount::volts($start), Amount::percent($conditions->socFrom), Amount::volts($max),
        ));
    }
}
