<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Power\BindingCode;
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

    /** Below this nothing flows (kW). */
    private const LEAST_KW = 0.05;

    /** Nobody waits longer (s). */
    private const LONGEST_S = 120 * 3600.0;

    private const INSTANT_S = 1e-6;

    /** Slopes below this are level (kW or V per percent). */
    private const LEVEL = 1e-9;

    private readonly Envelope $envelope;

    /** Percent of charge that a kW at the plug brings in a second. */
    private readonly float $socPerKwS;

    private float $tS = 0.0;

    private ?StopCause $cause = null;

    /**
     * @param  float  $packKwh  usable, from 0 to 100 %
     * @param  float  $efficiency  share of the plug's energy that reaches the pack
     * @param  list<float>  $marks  states of charge at which a step ends, rising; the last is the end
     * @param  float  $stepS  longest step; steps end at its multiples
     * @param  float  $handshakeS  INF for one that never ends
     * @param  bool  $obeysHeat  false: boosts never end
     * @param  float|null  $levelStepS  longest step while volts and power stay level; null: as the others
     */
    public function __construct(
        private readonly LimitSet $limits,
        float $packKwh,
        float $efficiency,
        private float $soc,
        private readonly array $marks,
        private readonly float $stepS = self::LONGEST_STEP_S,
        private readonly float $handshakeS = self::HANDSHAKE_S,
        bool $obeysHeat = true,
        private readonly ?float $levelStepS = null,
    ) {
        $this->socPerKwS = $efficiency / $packKwh / 36;
        $this->envelope = new Envelope($limits, $soc, $marks === [] ? $soc : $marks[count($marks) - 1], $obeysHeat);
    }

    /** Why the walk ended; null while it has not. */
    public function cause(): ?StopCause
    {
        return $this->cause;
    }

    public function bindingWords(): string
    {
        return $this->envelope->binding->words();
    }

    /** @return \Generator<int, Step> the last one has no length */
    public function steps(): \Generator
    {
        yield from $this->handshake();
        $at = $this->envelope;
        $later = $this->limits->later;
        $isRamping = true;
        $mark = 0;
        while (true) {
            while (isset($this->marks[$mark]) && $this->marks[$mark] <= $this->soc + 1e-9) {
                $mark++;
            }
            foreach ($later as $i => $limit) {
                if (60 * $limit->fromMinute <= $this->tS + self::INSTANT_S) {
                    $at->add($limit->limit);
                    unset($later[$i]);
                }
            }
            $at->lookAt($this->soc);
            $rampKw = self::RAMP_KW_PER_S * ($this->tS - $this->handshakeS);
            $isRamping = $isRamping && $rampKw < $at->kw - 1e-6;
            $this->cause = match (true) {
                ! isset($this->marks[$mark]) => StopCause::Reached,
                $at->kw < self::LEAST_KW => StopCause::NothingFlows,
                $this->tS >= self::LONGEST_S => StopCause::TooLong,
                default => null,
            };
            $path = $isRamping ? Path::ramp($rampKw, self::RAMP_KW_PER_S, $this->socPerKwS) : Path::line($at->kw, $at->kwPerPercent, $this->socPerKwS);
            $spanS = $this->cause === null ? $this->spanS($path, $isRamping, $this->marks[$mark] ?? $this->soc, $later) : 0.0;
            $step = $this->step($path, $spanS, $isRamping);
            yield $step;
            if ($this->cause !== null) {
                return;
            }
            $at->warm($this->meanSquareA2($path, $spanS), $spanS);
            $this->soc += $path->percentAfter($spanS);
            $this->tS += $spanS;
        }
    }

    /**
     * Nothing flows yet; whatever is warm cools.
     *
     * @return \Generator<int, Step>
     */
    private function handshake(): \Generator
    {
        $this->envelope->lookAt($this->soc);
        while ($this->tS < $this->handshakeS - self::INSTANT_S) {
            $spanS = min($this->untilTickS(), $this->handshakeS - $this->tS);
            yield new Step($this->tS, $spanS, $this->soc, 0.0, 0.0, 0.0, 0.0, $this->envelope->volts, 0.0, BindingCode::Handshake, '', $this->envelope->theta);
            $this->envelope->warm(0.0, $spanS);
            $this->tS += $spanS;
        }
    }

    /** @param  array<int, LaterLimit>  $later */
    private function spanS(Path $path, bool $isRamping, float $markSoc, array $later): float
    {
        $at = $this->envelope;
        $toSoc = $isRamping ? $markSoc : min($markSoc, $at->untilSoc);
        $isLevel = ! $isRamping && abs($at->kwPerPercent) < self::LEVEL && abs($at->voltsPerPercent) < self::LEVEL;
        $spanS = min($this->untilTickS($isLevel ? $this->levelStepS : null), $path->secondsTo($toSoc - $this->soc));
        if ($isRamping) {
            $spanS = min($spanS, $this->rampS($path));
        }
        foreach ($later as $limit) {
            $spanS = min($spanS, 60 * $limit->fromMinute - $this->tS);
        }
        $spanS = max($spanS, self::INSTANT_S);
        $mostA = max($at->amps($path->kwAfter(0.0), $at->volts), $at->amps($path->kwAfter($spanS), $this->voltsAfter($path, $spanS)));

        return max($at->secondsUntilFull($mostA, $spanS), self::INSTANT_S);
    }

    /** Seconds until the ramp meets the limit, which itself changes a little while the charge rises. */
    private function rampS(Path $path): float
    {
        $at = $this->envelope;
        $limitKw = $at->kw;
        for ($round = 0; $round < 4; $round++) {
            $spanS = max(0.0, $this->handshakeS + $limitKw / self::RAMP_KW_PER_S - $this->tS);
            $limitKw = $at->kw + $at->kwPerPercent * min($path->percentAfter($spanS), $at->untilSoc - $this->soc);
        }

        return max(0.0, $this->handshakeS + $limitKw / self::RAMP_KW_PER_S - $this->tS);
    }

    private function step(Path $path, float $spanS, bool $isRamping): Step
    {
        $at = $this->envelope;
        $kw = $path->kwAfter(0.0);

        return new Step(
            $this->tS,
            $spanS,
            $this->soc,
            $kw,
            $path->kwAfter($spanS),
            $at->amps($path->kwAfter($spanS), $this->voltsAfter($path, $spanS)),
            $path->percentAfter($spanS) / $this->socPerKwS / 3600,
            $at->volts,
            $at->amps($kw, $at->volts),
            $isRamping ? BindingCode::Ramp : $at->binding,
            $isRamping ? '' : $at->linkId,
            $at->theta,
        );
    }

    private function meanSquareA2(Path $path, float $spanS): float
    {
        $square = fn (float $s): float => $this->envelope->amps($path->kwAfter($s), $this->voltsAfter($path, $s)) ** 2;

        return ($square(0.0) + 4 * $square($spanS / 2) + $square($spanS)) / 6;
    }

    private function voltsAfter(Path $path, float $seconds): float
    {
        return $this->envelope->volts + $this->envelope->voltsPerPercent * $path->percentAfter($seconds);
    }

    private function untilTickS(?float $stepS = null): float
    {
        $stepS ??= $this->stepS;

        return (floor(($this->tS + self::INSTANT_S) / $stepS) + 1) * $stepS - $this->tS;
    }
}
