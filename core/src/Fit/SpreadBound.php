<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Power\Peak;
use Harmozon\Core\Power\PeakFinder;

/**
 * The same answer with its unread facts at one end of their spread. Only power varies: outcome, gates, voltage mode and
 * the end of the session stay those of the answer. Since a higher figure never charges slower, every value within the
 * spreads lies between the two bounds.
 */
final class SpreadBound
{
    /** @param  list<AssumedFact>  $assumed */
    public static function slow(ChainAnswer $answer, array $assumed): ChainAnswer
    {
        return self::at($answer, array_reduce($assumed, static fn (Chain $chain, AssumedFact $a): Chain => $a->slower($chain), $answer->chain));
    }

    /** @param  list<AssumedFact>  $assumed */
    public static function fast(ChainAnswer $answer, array $assumed): ChainAnswer
    {
        return self::at($answer, array_reduce($assumed, static fn (Chain $chain, AssumedFact $a): Chain => $a->faster($chain), $answer->chain));
    }

    /**
     * A chain's limits at the end of its assumed facts where the current is highest: what a piece may have to carry
     * must not depend on a value that nobody has read. The limits themselves where nothing is assumed.
     */
    public static function ofMostAmps(Chain $chain, VoltagePlan $plan, Conditions $conditions, ?LimitSet $asTheyStand): ?LimitSet
    {
        $assumed = AssumedFact::ofPower($chain);
        if ($assumed === []) {
            return $asTheyStand;
        }
        $hungriest = array_reduce($assumed, static fn (Chain $c, AssumedFact $a): Chain => $a->hungrier($c), $chain);

        return Limits::ofChain($hungriest, $plan->along($hungriest->vehicle->pack->voltageBySoc, $chain->vehicle->pack->voltageBySoc), $conditions);
    }

    /** The range of the peak; null where nothing is assumed, or nothing is known. */
    public static function peakKw(ChainAnswer $answer): ?UncertaintyBand
    {
        $assumed = AssumedFact::ofPower($answer->chain);
        if ($assumed === [] || ! $answer->outcome->mayFlow()) {
            return null;
        }
        if ($answer->voltage->plugV === null) {
            return self::overUnreadVolts($answer, $assumed);
        }
        $ends = [$answer->peak?->kw, self::slow($answer, $assumed)->peak?->kw, self::fast($answer, $assumed)->peak?->kw];
        $known = array_values(array_filter($ends, static fn (?float $kw): bool => $kw !== null));

        return $known === [] ? null : UncertaintyBand::around(...$known);
    }

    /** What the car alone would take at the upper end of its spread; null where nothing is known. */
    public static function idealMostKw(ChainAnswer $answer): ?float
    {
        $fast = array_reduce(AssumedFact::ofPower($answer->chain), static fn (Chain $chain, AssumedFact $a): Chain => $a->faster($chain), $answer->chain);
        $limits = Limits::ofVehicle($fast, $answer->conditions);

        return $limits === null ? null : (new PeakFinder)->find($limits, $answer->conditions->charge->socFrom, $answer->conditions->charge->socTo)?->kw;
    }

    private static function at(ChainAnswer $answer, Chain $chain): ChainAnswer
    {
        $plan = $answer->voltage->along($chain->vehicle->pack->voltageBySoc, $answer->chain->vehicle->pack->voltageBySoc);
        $limits = Limits::ofChain($chain, $plan, $answer->conditions);

        return $answer->withPower($chain, self::peak($limits, $answer, $plan->endSoc($answer->conditions)), $plan, $limits);
    }

    /**
     * Not even the battery's class is known: its voltage may be anywhere between the lowest and the highest there are,
     * and may match the station's or not.
     *
     * @param  list<AssumedFact>  $assumed
     */
    private static function overUnreadVolts(ChainAnswer $answer, array $assumed): ?UncertaintyBand
    {
        $volts = AssumedFact::packVolts($answer->chain)?->origin;
        if (! $volts?->low instanceof Curve || ! $volts->high instanceof Curve) {
            return null;
        }
        $slow = array_reduce($assumed, static fn (Chain $chain, AssumedFact $a): Chain => $a->slower($chain), $answer->chain);
        $fast = array_reduce($assumed, static fn (Chain $chain, AssumedFact $a): Chain => $a->faster($chain), $answer->chain);
        $kw = [self::bestKw($slow, $answer), self::bestKw($fast, $answer)];
        $ceiling = $answer->chain->outlet->rating->maxV;
        if ($ceiling !== null && $volts->low->highest() < $ceiling && $ceiling < $volts->high->highest()) {
            $touching = $fast->vehicle->withPack($fast->vehicle->pack->atVolts($volts->high->times($ceiling / $volts->high->highest())));
            $kw[] = self::bestKw($fast->of(vehicle: $touching), $answer);
        }

        return UncertaintyBand::around(...$kw);
    }

    private static function bestKw(Chain $chain, ChainAnswer $answer): float
    {
        $best = 0.0;
        foreach ((new VoltagePlanner)->plans($chain, $answer->conditions) as $plan) {
            $best = max($best, self::peak(Limits::ofChain($chain, $plan, $answer->conditions), $answer, $plan->endSoc($answer->conditions))->kw ?? 0.0);
        }

        return $best;
    }

    private static function peak(?LimitSet $limits, ChainAnswer $answer, float $endSoc): ?Peak
    {
        return $limits === null ? null : (new PeakFinder)->find($limits, $answer->conditions->charge->socFrom, $endSoc);
    }
}
