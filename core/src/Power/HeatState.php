<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/**
 * A link with a duty rating along a session: its load, the minutes it has carried more than its continuous amps since it was
 * last rested, and whether its boost is spent: by heat or by the minutes of its plate, whichever is first.
 */
final class HeatState
{
    /** From this load on a link is at its limit; the margin covers rounding. */
    private const FULL = 1 - 1e-6;

    /** Amps are above a rating beyond this share of it: rounding is not. */
    private const SAME = 1e-9;

    /** Within this of the rated minutes counts as all of them (s). */
    private const INSTANT_S = 1e-5;

    public float $theta;

    public bool $isSpent;

    private float $aboveS = 0.0;

    private readonly float $aboveA;

    private readonly float $boostS;

    public function __construct(public readonly HeatLink $link)
    {
        $this->theta = $link->theta;
        $this->aboveA = $link->duty->continuousA * (1 + self::SAME);
        $this->boostS = 60 * ($link->duty->boostMinutes ?? INF);
        $this->judge();
    }

    public function allowsA(): float
    {
        return $this->link->duty->allowsA($this->isSpent ? 1.0 : 0.0);
    }

    /** Seconds until the boost is spent at these amps, when that happens within the span; else the span. */
    public function secondsUntilSpent(float $amps, float $spanS): float
    {
        $duty = $this->link->duty;
        if ($this->isSpent || $amps <= $duty->effectiveA) {
            return $spanS;
        }
        $byHeatS = 60 * $duty->minutesUntilFull($this->theta, $amps);

        return min($spanS, $byHeatS, $amps > $this->aboveA ? max(0.0, $this->boostS - $this->aboveS) : INF);
    }

    /**
     * Applies a current for a time; it changes linearly from start to end.
     *
     * @param  float  $meanSquareA2  the mean of its square (A²)
     * @return bool whether the boost was spent, or is there again
     */
    public function take(float $meanSquareA2, float $fromA, float $toA, float $seconds): bool
    {
        $before = $this->theta;
        $this->theta = $this->link->duty->afterSquare($before, $meanSquareA2, $seconds / 60);
        $this->aboveS += $seconds * $this->shareAbove($fromA, $toA);
        if ($before >= Duty::RESTED && $this->theta < Duty::RESTED) {
            $this->aboveS = 0.0;
        }
        $was = $this->isSpent;
        $this->judge();

        return $this->isSpent !== $was;
    }

    private function judge(): void
    {
        $this->isSpent = $this->theta >= self::FULL || $this->aboveS >= $this->boostS - self::INSTANT_S;
    }

    /** The share of a straight line that lies above the continuous amps. */
    private function shareAbove(float $fromA, float $toA): float
    {
        $limit = $this->aboveA;

        return match (true) {
            $fromA <= $limit && $toA <= $limit => 0.0,
            $fromA > $limit && $toA > $limit => 1.0,
            default => (max($fromA, $toA) - $limit) / abs($toA - $fromA),
        };
    }
}
