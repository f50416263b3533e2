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
    private const DERATED_SHARE = 0.3;

    /** Cooling usually fails so long after the first current (minutes): while the cable warms up. An assumption. */
    private const COOLING_MINUTES = 1.5;

    /** A boost usually ends after this share of its rated minutes: the piece was warm already. An assumption. */
    private const BOOST_SHARE = 0.7;

    /** A neighbour usually comes after this share of the session. An assumption. */
    private const NEIGHBOUR_SHARE = 0.3;

    /** A station whose cooling fails falls to this share of its current, or to the cable's uncooled rating if that is less. An assumption. */
    private const CRAWL_SHARE = 0.2;

    private const HALFWAY = 0.5;

    /** The current has to be this many times the continuous rating for the end of a boost to show. */
    private const ABOVE = 1.2;

    /** A boost usually ends so long before the session does, or its end would not show (minutes). An assumption. */
    private const BEFORE_END_MINUTES = 3.0;

    /** A neighbour has to take at least so much of the power to show (share), for at least so long (minutes). */
    private const TAKES_SHARE = 0.1;

    private const TAKES_MINUTES = 3.0;

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
        if (! in_array($fault->needs(), Phase::all($chain->current), true)) {
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
            Fault::CoolingFailed => self::cooling($chain, $conditions, $limits, $course, self::wholeSecond($at($firstMinute + self::COOLING_MINUTES))),
            Fault::Neighbour => self::neighbour($chain, $limits, $course, self::wholeSecond($share(self::NEIGHBOUR_SHARE))),
            Fault::Derated => self::derated($chain, $limits, $injected->minute ?? $firstMinute, $course->peakKw),
            Fault::BoostSpent => self::boost($limits, $course, $injected->minute, $firstMinute, $lastMinute),
            default => new self($fault, self::wholeSecond($share(self::HALFWAY)), $limits),
        };
    }

    private static function cooling(Chain $chain, Conditions $conditions, LimitSet $limits, PlainCourse $course, float $minute): self
    {
        $cable = $chain->outlet->fittings->cable;
        $duty = $cable?->isCooledNow() === true ? EffectivePlate::ofCable($cable->withCoolingFailed(), $conditions)->duty($conditions->ambientC) : null;
        if ($duty === null) {
            throw CannotActOut::withoutCooling();
        }
        $amps = min($duty->effectiveA, self::CRAWL_SHARE * $course->ampsAt(60 * $minute));

        return new self(Fault::CoolingFailed, $minute, $limits->later(new LaterAmps($minute, new AmpLimit(BindingCode::CableCurrent, Chain::CABLE, $amps))));
    }

    private static function neighbour(Chain $chain, LimitSet $limits, PlainCourse $course, float $minute): self
    {
        $cabinet = $chain->outlet->feed->cabinet;
        $shareKw = $chain->current === CurrentKind::Dc && $cabinet?->partnerActive !== true ? $cabinet?->shareOnceJoinedKw() : null;
        if ($shareKw === null || $shareKw === INF) {
            throw CannotActOut::withoutCabinet();
        }
        if ($shareKw > (1 - self::TAKES_SHARE) * min($course->kwAt(60 * $minute), $course->kwAt(60 * ($minute + self::TAKES_MINUTES)))) {
            throw CannotActOut::withEnoughForBoth($shareKw);
        }

        return new self(Fault::Neighbour, $minute, $limits->later(new LaterLimit($minute, new KwLimit(BindingCode::Sharing, $chain->outlet->id, $shareKw))));
    }

    private static function derated(Chain $chain, LimitSet $limits, float $minute, float $peakKw): self
    {
        return new self(Fault::Derated, $minute, $limits->later(new LaterLimit($minute, new KwLimit(BindingCode::StationPower, $chain->outlet->id, self::DERATED_SHARE * $peakKw))));
    }

    /** The boost of the piece that carries the most above its continuous rating then. */
    private static function boost(LimitSet $limits, PlainCourse $course, ?float $minute, float $firstMinute, float $lastMinute): self
    {
        $found = null;
        foreach ($limits->changing->heat as $link) {
            $at = self::wholeSecond($minute ?? $firstMinute + self::BOOST_SHARE * ($link->duty->boostMinutes ?? 0.0));
            $isShown = $minute !== null || $at <= $lastMinute - self::BEFORE_END_MINUTES;
            $over = ! $isShown || $link->duty->boostMinutes === null || $link->duty->effectiveA <= 0.0 ? 0.0 : $course->ampsAt(60 * $at) / $link->duty->effectiveA;
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
