<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Forecast\Integrator;
use Harmozon\Core\Power\AmpLimit;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\EffectivePlate;
use Harmozon\Core\Power\KwLimit;
use Harmozon\Core\Power\LaterAmps;
use Harmozon\Core\Power\LaterLimit;
use Harmozon\Core\Power\LimitSet;

/** What a fault does to the session of one chain: from which minute, and which limits it brings. */
final readonly class FaultEffect
{
    /** What a derated stall gives of the power it would (share). An assumption. */
    private const DERATED_SHARE = 0.4;

    /** Cooling usually fails so long after the first current (minutes): while the cable warms up. An assumption. */
    private const COOLING_MINUTES = 1.5;

    /** A boost usually ends after this share of its rated minutes: the piece was warm already. An assumption. */
    private const BOOST_SHARE = 0.7;

    /** A neighbour usually comes after this share of the session. An assumption. */
    private const NEIGHBOUR_SHARE = 0.3;

    private const HALFWAY = 0.5;

    /** The current has to exceed the continuous rating by this much for a boost to be in use (share). */
    private const ABOVE = 1.05;

    /** @param  float|null  $minute  after plugging in; null for one that doesn't happen while charging */
    private function __construct(public Fault $fault, public ?float $minute, public LimitSet $limits)
    {
    }

    /**
     * @param  LimitSet  $limits  of the chain without the fault
     * @param  PlainCourse  $course  of the session without the fault
     *
     * @throws CannotActOut where this chain or that minute leaves no room for it
     */
    public static function of(InjectedFault $injected, Chain $chain, Conditions $conditions, LimitSet $limits, PlainCourse $course): self
    {
        $fault = $injected->fault;
        if (! in_array($fault->phase(), Phase::all($chain->current), true)) {
            throw CannotActOut::withoutPhase($fault, $chain->current);
        }
        if (! $fault->happensWhileCharging()) {
            return $injected->minute === null ? new self($fault, null, $limits) : throw CannotActOut::atNoMinute($fault);
        }
        $firstMinute = Integrator::HANDSHAKE_S / 60;
        $lastMinute = $course->endS / 60;
        if ($injected->minute !== null && ($injected->minute < $firstMinute || $injected->minute >= $lastMinute)) {
            throw CannotActOut::outsideSession($firstMinute, $lastMinute);
        }
        $at = static fn (float $usual): float => $injected->minute ?? min($usual, $firstMinute + self::HALFWAY * ($lastMinute - $firstMinute));
        $share = static fn (float $share): float => $at($firstMinute + $share * ($lastMinute - $firstMinute));

        return match ($fault) {
            Fault::CoolingFailed => self::cooling($chain, $conditions, $limits, $at($firstMinute + self::COOLING_MINUTES)),
            Fault::Neighbour => self::neighbour($chain, $limits, $share(self::NEIGHBOUR_SHARE)),
            Fault::Derated => self::derated($chain, $limits, $injected->minute ?? $firstMinute, $course->peakKw),
            Fault::BoostSpent => self::boost($limits, $course, $injected->minute, $firstMinute),
            default => new self($fault, self::wholeSecond($share(self::HALFWAY)), $limits),
        };
    }

    private static function cooling(Chain $chain, Conditions $conditions, LimitSet $limits, float $minute): self
    {
        $cable = $chain->outlet->fittings->cable;
        $duty = $cable?->isCooledNow() === true ? EffectivePlate::ofCable($cable->withCoolingFailed(), $conditions)->duty($conditions->ambientC) : null;
        if ($duty === null) {
            throw CannotActOut::withoutCooling();
        }
        $minute = self::wholeSecond($minute);

        return new self(Fault::CoolingFailed, $minute, $limits->later(new LaterAmps($minute, new AmpLimit(BindingCode::CableCurrent, Chain::CABLE, $duty->effectiveA))));
    }

    private static function neighbour(Chain $chain, LimitSet $limits, float $minute): self
    {
        $cabinet = $chain->outlet->feed->cabinet;
        $shareKw = $chain->current === CurrentKind::Dc && $cabinet?->partnerActive !== true ? $cabinet?->shareOnceJoinedKw() : null;
        if ($shareKw === null || $shareKw === INF) {
            throw CannotActOut::withoutCabinet();
        }
        $minute = self::wholeSecond($minute);

        return new self(Fault::Neighbour, $minute, $limits->later(new LaterLimit($minute, new KwLimit(BindingCode::Sharing, $chain->outlet->id, $shareKw))));
    }

    private static function derated(Chain $chain, LimitSet $limits, float $minute, float $peakKw): self
    {
        return new self(Fault::Derated, $minute, $limits->later(new LaterLimit($minute, new KwLimit(BindingCode::StationPower, $chain->outlet->id, self::DERATED_SHARE * $peakKw))));
    }

    /** The boost of the piece that carries the most above its continuous rating then. */
    private static function boost(LimitSet $limits, PlainCourse $course, ?float $minute, float $firstMinute): self
    {
        $found = null;
        foreach ($limits->changing->heat as $link) {
            $at = self::wholeSecond($minute ?? $firstMinute + self::BOOST_SHARE * ($link->duty->boostMinutes ?? 0.0));
            $over = $link->duty->boostMinutes === null || $link->duty->effectiveA <= 0.0 ? 0.0 : $course->ampsAt(60 * $at) / $link->duty->effectiveA;
            if ($over > max(self::ABOVE, $found['over'] ?? 0.0)) {
                $found = ['link' => $link, 'minute' => $at, 'over' => $over];
            }
        }
        if ($found === null) {
            throw CannotActOut::withoutBoost();
        }
        $link = $found['link'];

        return new self(Fault::BoostSpent, $found['minute'], $limits->later(new LaterAmps($found['minute'], new AmpLimit($link->code, $link->linkId, $link->duty->effectiveA))));
    }

    private static function wholeSecond(float $minute): float
    {
        return round(60 * $minute) / 60;
    }
}
