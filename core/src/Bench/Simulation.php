<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\UsualNeed;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Forecast\Integrator;
use Harmozon\Core\Forecast\Step;
use Harmozon\Core\Forecast\StepPlan;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\Efficiency;
use Harmozon\Core\Power\KwLimit;
use Harmozon\Core\Power\LaterLimit;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;

/**
 * A stand-in car, adapter and charger that go through one session, phase by phase. The current follows the forecast's own
 * integrator over the chain's own limits; a fault changes a phase or adds a limit. The same seed gives the same session.
 */
final class Simulation
{
    private const STEP_S = 1.0;

    /** A longer session is walked in longer steps while its power stays level, unless it is read more often (s). */
    private const LONG_S = 10_800.0;

    private const LONG_STEP_S = 10;

    /** Between two readings of a session that is only drawn (s). */
    public const USUAL_EVERY_S = 60;

    /** Longest step of the outline that tells when a session ends. */
    private const OUTLINE_STEP_S = 10.0;

    /** A driver with a stuck latch tries for so long (s). An assumption. */
    private const LATCH_STUCK_S = 120.0;

    /** What a car takes on AC before it takes all it can (share). An assumption. */
    private const SETTLING_SHARE = 0.5;

    /** Two states of charge closer than this are one (percent). */
    private const SAME_SOC = 1e-6;

    /** Sums of whole seconds, kept as floats, are exact to within this (s). */
    private const SAME_S = 1e-6;

    private readonly PhaseSchedule $schedule;

    private readonly ?FaultEffect $effect;

    private readonly LimitSet $limits;

    /** Those without the fault. */
    private readonly LimitSet $plain;

    private readonly StationVolts $stationV;

    private readonly float $packKwh;

    /**
     * @param  float  $longestMinutes  when the driver leaves; INF: not before the session is over
     *
     * @throws CannotActOut
     */
    public function __construct(
        private readonly Chain $chain,
        private readonly VoltagePlan $plan,
        private readonly Conditions $conditions,
        int $seed,
        ?InjectedFault $fault = null,
        private readonly Quirks $quirks = new Quirks,
        private readonly float $longestMinutes = INF,
    ) {
        $this->packKwh = $chain->vehicle->pack->usableKwh ?? throw CannotActOut::withoutKwh();
        $limits = Limits::ofChain($chain, $plan, $conditions) ?? throw CannotActOut::withoutVolts();
        if (! $limits->isKnown()) {
            throw CannotActOut::withoutLimit();
        }
        $noise = new Noise($seed);
        $this->schedule = PhaseSchedule::of($chain->current, $fault?->fault, $noise);
        $this->stationV = new StationVolts($this->schedule, $chain->current, $fault?->fault, $noise);
        $this->plain = $quirks->settleMinutes > 0.0 ? $this->settling($limits, $quirks->settleMinutes) : $limits;
        $this->effect = $fault === null ? null : $this->effectOf($fault, $this->outline($this->plain));
        $this->limits = $this->effect->limits ?? $this->plain;
    }

    /** @throws CannotActOut when the gates let nothing flow, or too little is known */
    public static function of(ChainAnswer $answer, int $seed, ?InjectedFault $fault = null): self
    {
        return $answer->outcome->flow() === Flow::No
            ? throw CannotActOut::withoutCharging($answer->why())
            : new self($answer->chain, $answer->voltage, $answer->conditions, $seed, $fault);
    }

    /** The air around the chain (°C). */
    public function ambientC(): float
    {
        return $this->conditions->ambientC ?? UsualNeed::AMBIENT_C;
    }

    /** The fault with the minute at which it happens; null where nothing goes wrong. */
    public function fault(): ?InjectedFault
    {
        return $this->effect === null ? null : new InjectedFault($this->effect->fault, $this->effect->minute);
    }

    /** @return array<string, CannotActOut|null> every fault by its code, with why it can't happen here; null where it can */
    public function possibleFaults(): array
    {
        $outline = $this->outline($this->plain);
        $found = [];
        foreach (Fault::cases() as $fault) {
            try {
                $this->effectOf(new InjectedFault($fault), $outline);
                $found[$fault->value] = null;
            } catch (CannotActOut $e) {
                $found[$fault->value] = $e;
            }
        }

        return $found;
    }

    /** @throws CannotActOut */
    private function effectOf(InjectedFault $fault, PlainCourse $outline): FaultEffect
    {
        return FaultEffect::of($fault, $this->chain, $this->conditions, $this->plain, $outline);
    }

    /** @throws CannotActOut on DC, where the station follows the car from the start */
    private function settling(LimitSet $limits, float $minutes): LimitSet
    {
        if ($this->chain->current !== CurrentKind::Ac) {
            throw CannotActOut::withoutSettling();
        }
        $firstMinute = Integrator::HANDSHAKE_S / 60;
        $half = new KwLimit(BindingCode::OnboardCharger, $this->chain->vehicle->id, self::SETTLING_SHARE * $this->outline($limits)->peakKw, $firstMinute + $minutes);

        return $limits->later(new LaterLimit($firstMinute, $half));
    }

    /** The session under these limits, without a fault. */
    private function outline(LimitSet $limits): PlainCourse
    {
        return PlainCourse::of($this->walk($limits, new StepPlan(self::OUTLINE_STEP_S, obeysHeat: ! $this->quirks->ignoresHeat))->steps());
    }

    /** The whole session, read every so many seconds until the current ends or the station gives up. */
    public function session(Instruments $instruments, int $everyS): SimulatedSession
    {
        $readings = [];
        $nextS = $readAtS = 0.0;
        $last = null;
        foreach ($this->instants($everyS % self::LONG_STEP_S !== 0) as $instant) {
            $isOver = $instant->phase->isAfterCurrent();
            if ($instant->tS >= $nextS - self::SAME_S || $isOver) {
                $readings[] = $instruments->reading($instant);
                $readAtS = $instant->tS;
                $nextS += $everyS;
            }
            $last = $instant;
            if ($isOver) {
                break;
            }
        }
        if ($last === null) {
            throw new \LogicException('a session has at least its first instant');
        }
        if ($readAtS < $last->tS) {
            $readings[] = $instruments->reading($last);
        }

        return new SimulatedSession(
            match (true) {
                ! $this->schedule->reachesCurrent => SimulationOutcome::NeverStarted,
                $this->effect?->fault->endsSession() === true || $last->soc < $this->plan->endSoc($this->conditions) - self::SAME_SOC => SimulationOutcome::Stopped,
                default => SimulationOutcome::Charged,
            },
            $this->phases($last->tS),
            $this->events($last->tS),
            $readings,
            $last->tS / 60,
            $last->plugKwh,
            $instruments->stationKwh($last->plugKwh),
            $last->soc,
        );
    }

    /**
     * @param  bool  $isEachSecond  also of a session that lasts for hours
     * @return \Generator<int, Instant> about each second until the current ends, then through the phases after it
     */
    public function instants(bool $isEachSecond = false): \Generator
    {
        $last = null;
        foreach ($this->running($isEachSecond ? null : $this->levelStepS()) as $instant) {
            yield $last = $instant;
        }
        if ($last === null || ! $this->schedule->reachesCurrent) {
            return;
        }
        foreach ($this->phasesAfter($last->tS) as $span) {
            for ($tS = $span->fromS; $tS < $span->toS; $tS += self::STEP_S) {
                yield new Instant($tS, $span->phase, $last->soc, new Output($last->output->plugV, $this->stationV->after($span, $tS, $last->output->plugV)), $last->theta, $last->plugKwh);
            }
        }
    }

    /** @return \Generator<int, Instant> until the current ends or the station gives up; the last one carries none */
    private function running(?float $levelStepS): \Generator
    {
        $walk = $this->walk($this->limits, new StepPlan(self::STEP_S, $levelStepS, handshakeS: $this->schedule->reachesCurrent ? Integrator::HANDSHAKE_S : INF, obeysHeat: ! $this->quirks->ignoresHeat));
        $endS = $this->endsAtS();
        $plugKwh = 0.0;
        foreach ($walk->steps() as $step) {
            $isLast = $step->lengthS <= 0.0 || $step->tS >= $endS - self::SAME_S;
            yield $this->instant($step, $plugKwh, $isLast);
            if ($isLast) {
                return;
            }
            $plugKwh += $step->flow->plugKwh;
        }
    }

    /** Longer steps would pass over a moment at which the session is cut short. */
    private function levelStepS(): ?float
    {
        return $this->endsAtS() === INF && $this->outline($this->plain)->endS > self::LONG_S ? (float) self::LONG_STEP_S : null;
    }

    private function instant(Step $step, float $plugKwh, bool $isLast): Instant
    {
        $plugV = $step->flow->volts;
        $flows = ! $isLast && $this->schedule->reachesCurrent && $step->tS >= $this->schedule->endS() - self::SAME_S;
        $phase = match (true) {
            $flows => Phase::Current,
            $this->schedule->reachesCurrent && $step->tS >= $this->schedule->endS() - self::SAME_S => Phase::Stop,
            default => $this->schedule->at($step->tS)->phase,
        };

        return new Instant(
            $step->tS, $phase, $step->soc,
            $flows ? new Output($plugV, $plugV, $step->flow->amps, $step->flow->kw, $step->binding, $step->linkId) : new Output($plugV, $this->stationV->before($step->tS, $plugV)),
            $step->heat->theta, $plugKwh,
        );
    }

    /** When the session is cut short at the latest (s). */
    private function endsAtS(): float
    {
        $cutS = $this->effect?->fault->endsSession() === true ? 60 * ($this->effect->minute ?? INF) : INF;

        return min($cutS, 60 * $this->longestMinutes, $this->schedule->reachesCurrent ? INF : $this->schedule->endS());
    }

    /** @return list<PhaseSpan> */
    private function phases(float $endS): array
    {
        if (! $this->schedule->reachesCurrent) {
            return $this->schedule->spans;
        }
        $isFailing = $this->effect?->fault->happensWhileCharging() === true;

        return [...$this->schedule->spans, new PhaseSpan(Phase::Current, $this->schedule->endS(), $endS, $isFailing), ...$this->phasesAfter($endS)];
    }

    /** @return list<PhaseSpan> */
    private function phasesAfter(float $endS): array
    {
        $spans = [];
        foreach (Phase::after($this->chain->current) as $phase) {
            $isFailing = $this->effect?->fault->phase() === $phase;
            $toS = $endS + ($isFailing && $this->effect->fault === Fault::LatchStuck ? self::LATCH_STUCK_S : $phase->usualS($this->chain->current));
            $spans[] = new PhaseSpan($phase, $endS, $toS, $isFailing);
            $endS = $toS;
        }

        return $spans;
    }

    /** @return list<Event> as a person at the stall would note them */
    private function events(float $endS): array
    {
        $at = static fn (EventCode $code, float $tS, ?string $detail = null): Event => new Event($code, (int) round(1000 * $tS), $detail);
        $fault = $this->effect?->fault;
        $events = [];
        foreach ($this->schedule->spans as $span) {
            $code = match ($span->isFailing ? null : $span->phase) {
                Phase::Plugged => EventCode::Plugged,
                Phase::Authorise => EventCode::Authorised,
                default => null,
            };
            $events = [...$events, ...($code === null ? [] : [$at($code, $span->toS)])];
        }
        if (! $this->schedule->reachesCurrent) {
            return [...$events, $at(EventCode::FailedStart, $endS, $fault?->phase()->value)];
        }
        $events[] = $at(EventCode::CurrentFlows, $this->schedule->endS());
        if ($fault === Fault::Neighbour) {
            $events[] = $at(EventCode::NeighbourCame, 60 * ($this->effect->minute ?? 0.0));
        }
        $events[] = $at($fault?->endsSession() === true ? EventCode::StoppedByStation : EventCode::StoppedByCar, $endS);

        return $fault === Fault::LatchStuck ? [...$events, $at(EventCode::LatchStuck, $this->phasesAfter($endS)[count(Phase::after($this->chain->current)) - 1]->fromS)] : $events;
    }

    private function walk(LimitSet $limits, StepPlan $steps): Integrator
    {
        return new Integrator($limits, $this->packKwh, Efficiency::of($this->chain, $this->plan), $this->conditions->charge->socFrom, [$this->plan->endSoc($this->conditions)], $steps);
    }
}
