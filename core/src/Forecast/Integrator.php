<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\Envelope;
use Harmozon\Core\Power\KwLimit;
use Harmozon\Core\Power\LaterAmps;
use Harmozon\Core\Power\LaterLimit;
use Harmozon\Core\Power\LimitSet;

/**
 * Walks a session from plugging in to its end: handshake, ramp, then the smallest limit of the chain at every moment.
 *
 * A limit is a straight line over the state of charge, so while the same limit binds the charge follows
 * ds/dt = k (P₀ + m (s − s₀)), whose solution is exact for a step of any length. Steps end where another limit takes
 * over, where a link's boost ends, where a later limit begins, and at every mark; only the heat load is approximated in
 * between, by the mean square of the amps (Simpson).
 */
final class Integrator
{
    /** First power this long after plugging in (s). */
    public const HANDSHAKE_S = 45.0;

    /** How fast the power rises after the handshake (kW/s). */
    public const RAMP_KW_PER_S = 10.0;

    /** Steps are no longer than this, so that there is a point to show every half minute (s). */
    public const LONGEST_STEP_S = 30.0;

    /** The longest session computed (h). */
    public const LONGEST_HOURS = 120;

    private const INSTANT_S = 1e-6;

    /** Two states of charge closer than this are one (percent). */
    private const SAME_SOC = 1e-9;

    /** A ramp this close to the limit has reached it (kW). */
    private const SAME_KW = 1e-6;

    /** kW seconds in a percent of a kWh. */
    private const KWS_IN_PERCENT_OF_KWH = 36;

    /** Rounds in which the end of the ramp is found: the limit moves little while the charge rises. */
    private const RAMP_ROUNDS = 4;

    /** Slopes below this are level (kW or V per percent). */
    private const LEVEL = 1e-9;

    private readonly Envelope $envelope;

    /** Percent of charge that a kW at the plug brings in a second. */
    private readonly float $socPerKwS;

    /** What the car uses for itself (kW at the plug). */
    private readonly float $drawKw;

    private float $tS = 0.0;

    private ?EndCause $cause = null;

    private bool $isRamping = true;

    /** The mark that comes next. */
    private int $mark = 0;

    /** @var array<int, LaterLimit> limits that have not begun yet */
    private array $later;

    /** @var array<int, LaterAmps> limits of the current that have not begun yet */
    private array $laterAmps;

    /** @var list<float> minutes at which a limit ends, those to come */
    private array $ends;

    /**
     * @param  float  $packKwh  usable, from 0 to 100 %
     * @param  float  $efficiency  share of the plug's energy that reaches the pack
     * @param  list<float>  $marks  states of charge at which a step ends, rising; the last is the end
     */
    public function __construct(
        LimitSet $limits,
        float $packKwh,
        float $efficiency,
        private float $soc,
        private readonly array $marks,
        private readonly StepPlan $plan = new StepPlan,
    ) {
        $this->socPerKwS = $efficiency / $packKwh / self::KWS_IN_PERCENT_OF_KWH;
        $this->drawKw = $limits->drawKw;
        $this->later = $limits->changing->later;
        $this->laterAmps = $limits->changing->laterAmps;
        $this->ends = array_values(array_filter(
            array_map(static fn (KwLimit $l): float => $l->untilMinute, [...$limits->kw, ...array_map(static fn (LaterLimit $l): KwLimit => $l->limit, $limits->changing->later)]),
            is_finite(...),
        ));
        $this->envelope = new Envelope($limits, $soc, $marks === [] ? $soc : $marks[count($marks) - 1], $this->socPerKwS, $plan->obeysHeat);
    }

    /** Why the walk ended; null while it has not. */
    public function endCause(): ?EndCause
    {
        return $this->cause;
    }

    /** Percent of charge that the battery loses in an hour, where the car uses more for itself than it receives. */
    public function percentLostInAnHour(): float
    {
        return 3600 * $this->socPerKwS * ($this->drawKw - $this->envelope->kw);
    }

    public function kw(): float
    {
        return $this->envelope->kw;
    }

    public function binding(): BindingCode
    {
        return $this->envelope->binding;
    }

    /** @return \Generator<int, Step> the last one has no length */
    public function steps(): \Generator
    {
        yield from $this->handshake();
        do {
            $this->passMarks();
            $this->takeLaterLimits();
            $this->envelope->lookAt($this->soc);
            $this->cause = $this->cause();
            $path = $this->path();
            $spanS = $this->cause === null ? $this->spanS($path) : 0.0;
            $gained = $path->percentAfter($spanS);
            $step = $this->step($path, $spanS, $gained);
            yield $step;
            if ($this->envelope->hasHeat()) {
                $this->envelope->warm($this->meanSquareA2($path, $step), $step->flow->amps, $step->flow->endAmps, $spanS, $this->soc + $gained);
            }
            $this->soc += $gained;
            $this->tS += $spanS;
        } while ($this->cause === null);
    }

    /** Moves past the marks that have been reached. */
    private function passMarks(): void
    {
        while (isset($this->marks[$this->mark]) && $this->marks[$this->mark] <= $this->soc + self::SAME_SOC) {
            $this->mark++;
        }
    }

    private function takeLaterLimits(): void
    {
        foreach ($this->later as $i => $limit) {
            if (60 * $limit->fromMinute <= $this->tS + self::INSTANT_S) {
                $this->envelope->add($limit->limit);
                unset($this->later[$i]);
            }
        }
        foreach ($this->laterAmps as $i => $limit) {
            if (60 * $limit->fromMinute <= $this->tS + self::INSTANT_S) {
                $this->envelope->addAmps($limit->limit);
                unset($this->laterAmps[$i]);
            }
        }
        $past = array_filter($this->ends, fn (float $minute): bool => 60 * $minute <= $this->tS + self::INSTANT_S);
        if ($past !== []) {
            $this->envelope->end(max($past));
            $this->ends = array_values(array_diff($this->ends, $past));
        }
    }

    private function cause(): ?EndCause
    {
        return match (true) {
            ! isset($this->marks[$this->mark]) => EndCause::Reached,
            $this->envelope->kw < LimitSet::LEAST_KW => EndCause::NothingFlows,
            $this->envelope->kw <= $this->drawKw => EndCause::ChargeFalls,
            $this->tS >= self::LONGEST_HOURS * 3600 => EndCause::TooLong,
            default => null,
        };
    }

    /** The ramp until it meets the limit, then the limit. */
    private function path(): PowerPath
    {
        $rampKw = self::RAMP_KW_PER_S * ($this->tS - $this->plan->handshakeS);
        $this->isRamping = $this->isRamping && $rampKw < $this->envelope->kw - self::SAME_KW;

        return $this->isRamping
            ? PowerPath::ramp($rampKw, self::RAMP_KW_PER_S, $this->socPerKwS, $this->drawKw)
            : PowerPath::line($this->envelope->kw, $this->envelope->kwPerPercent, $this->socPerKwS, $this->drawKw);
    }

    /**
     * Nothing flows yet; warm pieces cool down.
     *
     * @return \Generator<int, Step>
     */
    private function handshake(): \Generator
    {
        $this->envelope->lookAt($this->soc);
        while ($this->tS < $this->plan->handshakeS - self::INSTANT_S) {
            $spanS = min($this->untilTickS(), $this->plan->handshakeS - $this->tS);
            yield new Step($this->tS, $spanS, $this->soc, StepFlow::none($this->envelope->volts), BindingCode::Handshake, '', $this->heat());
            $this->envelope->warm(0.0, 0.0, 0.0, $spanS, $this->soc);
            $this->tS += $spanS;
        }
    }

    /** Seconds until something changes: a tick, a mark, another limit, a boost spent, the end of the ramp. */
    private function spanS(PowerPath $path): float
    {
        $at = $this->envelope;
        $markSoc = $this->marks[$this->mark] ?? $this->soc;
        $toSoc = $this->isRamping ? $markSoc : min($markSoc, $at->untilSoc);
        $isLevel = ! $this->isRamping && abs($at->kwPerPercent) < self::LEVEL && abs($at->voltsPerPercent) < self::LEVEL;
        $spanS = min($this->untilTickS($isLevel ? $this->plan->levelStepS : null), $path->secondsTo($toSoc - $this->soc), $at->isWarming() ? self::LONGEST_STEP_S : INF);
        if ($this->isRamping) {
            $spanS = min($spanS, $this->rampS($path));
        }
        foreach ([...array_map(static fn (LaterLimit|LaterAmps $l): float => $l->fromMinute, [...$this->later, ...$this->laterAmps]), ...$this->ends] as $minute) {
            $spanS = min($spanS, 60 * $minute - $this->tS);
        }
        $spanS = max($spanS, self::INSTANT_S);

        return $at->hasHeat() ? max($at->secondsUntilSpent($this->mostA($path, $spanS), $spanS), self::INSTANT_S) : $spanS;
    }

    /** The highest current of a segment: at one of its ends, since power and volts are linear over the charge. */
    private function mostA(PowerPath $path, float $spanS): float
    {
        $at = $this->envelope;

        return max($at->amps($path->kw, $at->volts), $at->amps($path->kwAfter($spanS), $this->voltsAfter($path, $spanS)));
    }

    /** Seconds until the ramp meets the limit, which itself changes a little while the charge rises. */
    private function rampS(PowerPath $path): float
    {
        $at = $this->envelope;
        $limitKw = $at->kw;
        for ($round = 0; $round < self::RAMP_ROUNDS; $round++) {
            $spanS = max(0.0, $this->plan->handshakeS + $limitKw / self::RAMP_KW_PER_S - $this->tS);
            $limitKw = $at->kw + $at->kwPerPercent * min($path->percentAfter($spanS), $at->untilSoc - $this->soc);
        }

        return max(0.0, $this->plan->handshakeS + $limitKw / self::RAMP_KW_PER_S - $this->tS);
    }

    private function step(PowerPath $path, float $spanS, float $gained): Step
    {
        $at = $this->envelope;
        $endKw = $path->kwAfter($spanS);

        return new Step(
            tS: $this->tS,
            lengthS: $spanS,
            soc: $this->soc,
            flow: new StepFlow(
                kw: $path->kw,
                volts: $at->volts,
                amps: $at->amps($path->kw, $at->volts),
                endKw: $endKw,
                endAmps: $at->amps($endKw, $at->volts + $at->voltsPerPercent * $gained),
                plugKwh: ($gained / $this->socPerKwS + $this->drawKw * $spanS) / 3600,
            ),
            binding: $this->isRamping ? BindingCode::Ramp : $at->binding,
            linkId: $this->isRamping ? '' : $at->linkId,
            heat: $this->heat(),
        );
    }

    private function heat(): StepHeat
    {
        return new StepHeat($this->envelope->theta, $this->envelope->spent, $this->envelope->packC);
    }

    /** By Simpson's rule. */
    private function meanSquareA2(PowerPath $path, Step $step): float
    {
        $halfS = $step->lengthS / 2;
        $middleA = $this->envelope->amps($path->kwAfter($halfS), $this->voltsAfter($path, $halfS));

        return ($step->flow->amps ** 2 + 4 * $middleA ** 2 + $step->flow->endAmps ** 2) / 6;
    }

    private function voltsAfter(PowerPath $path, float $seconds): float
    {
        return $this->envelope->volts + $this->envelope->voltsPerPercent * $path->percentAfter($seconds);
    }

    private function untilTickS(?float $stepS = null): float
    {
        $stepS ??= $this->plan->stepS;

        return (floor(($this->tS + self::INSTANT_S) / $stepS) + 1) * $stepS - $this->tS;
    }
}
