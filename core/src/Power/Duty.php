<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Equipment\Plate;

/**
 * A plate "I_b amps for t_b minutes, then I_c" read as a first-order thermal body. Its load θ is 1 at the allowed rise:
 * dθ/dt = ((I / I_eff)² − θ) / τ. Below θ = 1 the piece allows I_b, at θ = 1 it allows I_eff.
 */
final readonly class Duty
{
    /** Time constant of a piece whose plate names no boost (minutes). */
    public const DEFAULT_TAU_MINUTES = 20.0;

    /** Below this load a piece counts as rested: its boost minutes start again from zero. */
    public const RESTED = 0.5;

    /** The load of a piece that may carry nothing and still carries current. */
    private const BEYOND_ALL = 1e6;

    /**
     * @param  float  $effectiveA  what wear and the ambient leave of the continuous amps
     * @param  float|null  $boostMinutes  how long the plate allows more than its continuous amps; null without a boost
     */
    private function __construct(
        public float $boostA,
        public float $continuousA,
        public float $effectiveA,
        public float $tauMinutes,
        public ?float $boostMinutes,
    ) {
    }

    /**
     * Cold air raises neither the amps nor the minutes above the rating.
     *
     * @param  float|null  $ambientC  null: as rated
     * @param  float  $ratingLeft  share of the continuous amps that wear has left
     * @param  bool  $cooled  a cooled cable is not derated by the ambient
     */
    public static function of(Plate $plate, ?float $ambientC, float $ratingLeft = 1.0, bool $cooled = false): ?self
    {
        if ($plate->continuousA === null) {
            return null;
        }
        $continuousA = $plate->continuousA;
        $boostA = $plate->boostA ?? $continuousA;
        $boostMinutes = $plate->hasBoost() ? $plate->boostMinutes : null;
        $tau = $boostMinutes === null ? self::DEFAULT_TAU_MINUTES : -$boostMinutes / log(1 - ($continuousA / $boostA) ** 2);
        $derating = $cooled || $ambientC === null
            ? 1.0
            : min(1.0, sqrt(max(0.0, $plate->limitC - $ambientC) / ($plate->limitC - $plate->ratedAtC)));

        return new self($boostA, $continuousA, $continuousA * $ratingLeft * $derating, $tau, $boostMinutes);
    }

    /** The mean square of a current that changes linearly (A²). */
    public static function meanSquareA2(float $fromA, float $toA): float
    {
        return ($fromA * $fromA + $fromA * $toA + $toA * $toA) / 3;
    }

    /** The amps allowed at this load: the boost rating below 1, then the continuous rating reduced by wear and ambient temperature. */
    public function allowsA(float $theta): float
    {
        return $theta < 1 && $this->effectiveA > 0 ? $this->boostA : $this->effectiveA;
    }

    /**
     * Minutes that the full boost lasts from this load, by heat or by the plate's own minutes, whichever is first; INF when
     * it can be held for ever, 0 when it is spent.
     */
    public function fullBoostMinutes(float $theta): float
    {
        return min($this->boostMinutes ?? INF, $this->minutesUntilFull($theta, $this->boostA));
    }

    /** The load after some minutes at a steady current. */
    public function after(float $theta, float $amps, float $minutes): float
    {
        return $this->afterSquare($theta, $amps * $amps, $minutes);
    }

    /** The load after some minutes at a current given by the mean of its square (A²). */
    public function afterSquare(float $theta, float $meanSquareA2, float $minutes): float
    {
        return $this->approach($theta, $meanSquareA2, $this->left($minutes));
    }

    /** The share of a difference from the steady load that is left after some minutes. */
    public function left(float $minutes): float
    {
        return exp(-$minutes / $this->tauMinutes);
    }

    /** The load once this share of its difference from the steady load is left. */
    public function approach(float $theta, float $meanSquareA2, float $left): float
    {
        $steady = $this->steady($meanSquareA2);

        return $steady + ($theta - $steady) * $left;
    }

    /** Minutes at a steady current until the load reaches 1; INF when it never does, 0 when it is there already. */
    public function minutesUntilFull(float $theta, float $amps): float
    {
        if ($theta >= 1) {
            return 0.0;
        }
        $end = $this->steady($amps * $amps);

        return $end <= 1 ? INF : -$this->tauMinutes * log(($end - 1) / ($end - $theta));
    }

    private function steady(float $squareA2): float
    {
        return match (true) {
            $this->effectiveA > 0 => $squareA2 / $this->effectiveA ** 2,
            $squareA2 > 0 => self::BEYOND_ALL,
            default => 0.0,
        };
    }
}
