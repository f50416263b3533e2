<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\PhaseCount;
use Harmozon\Core\Equipment\Supply;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\PeakFinder;

/** The power that three phases would give where only one is certain. */
final class MorePhases
{
    /** @return float|null the peak; null where nobody's count is open, or more would give no more */
    public static function kw(ChainAnswer $answer): ?float
    {
        $chain = $answer->chain;
        if ($chain->current === CurrentKind::Dc || $answer->limits === null || $answer->peak === null) {
            return null;
        }
        [$supply, $ac] = [$chain->outlet->feed->supply, $chain->inlet->ac];
        if ($supply !== null && self::isOpen(Fact::SupplyPhases, $chain)) {
            $chain = $chain->of(outlet: $chain->outlet->suppliedBy(new Supply($supply->volts, $supply->amps, PhaseCount::MOST)));
        }
        if ($ac !== null && self::isOpen(Fact::AcPhases, $chain)) {
            $chain = $chain->through($chain->inlet->withAc($ac->onPhases(PhaseCount::MOST)));
        }
        if ($chain->phases() === $answer->chain->phases()) {
            return null;
        }
        $limits = Limits::ofChain($chain, $answer->voltage, $answer->conditions);
        $peak = $limits === null ? null : (new PeakFinder)->find($limits, $answer->conditions->charge->socFrom, $answer->voltage->endSoc($answer->conditions));

        return $peak !== null && $peak->kw > $answer->peak->kw ? $peak->kw : null;
    }

    /** Whether there may be more phases than are certain. */
    private static function isOpen(Fact $fact, Chain $chain): bool
    {
        $origins = $fact->owner() === FactOwner::Outlet ? $chain->outlet->origins : $chain->vehicle->origins;
        $origin = $origins[UnreadFact::of($fact, $chain)->path] ?? null;

        return $origin?->isByStandard() === true && $origin->high !== null;
    }
}
