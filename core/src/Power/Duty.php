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

    private function __construct(
        public float $boostA,
        public float $effectiveA,
        public float $tauMinutes,
    ) {
    }

    /**
     * @param  float|null  $ambientC  null: as rated
     * @param  bool  $cooled  a cooled cable is not derated by the ambient
     */
    public static function of(Plate $plate, ?float $ambientC, float $ageing = 1.0, bool $cooled = false): ?self
    {
        if ($plate->continuousA === null) {
            return null;
        }
        $continuousA = $plate->continuousA;
        $boostA = $plate->boostA ?? $continuousA;
        $tau = $plate->hasBoost() && $plate->boostMinutes !== null
            ? -$plate->boostMinutes / log(1 - ($continuousA / $boostA) ** 2)
            : self::DEFAULT_TAU_MINUTES;
        $derating = $cooled || $ambientC === null
            ? 1.0
            : sqrt(max(0.0, $plate->limitC - $ambientC) / ($plate->limitC - $plate->ratedAtC));

        return new self($boostA, $continuousA * $ageing * $derating, $tau);
    }

    /**
     * The amps allowed at this load: the plate's boost below 1, then what the ambient leaves of its continuous amps. Cold
     * air never lifts a piece above the highest amps on its plate.
     */
    public function allowsA(float $theta): float
    {
        return $theta < 1 && $this->effectiveA > 0 ? $this->boostA : min($this->boostA, $this->effectiveA);
    }

    /** Minutes that the full boost lasts from this load; INF when it can be held for ever, 0 when it is spent. */
    public function boostMinutes(float $theta): float
    {
        return $this->minutesUntilFull($theta, $this->boostA);
    }

    /** The load after some minutes at a steady current. */
    public function after(float $theta, float $amps, float $minutes): float
    {
        return $this->afterSquare($theta, $amps * $amps, $minutes);
    }

    /** The load after some minutes at a current given by the mean of its square (A²). */
    public function afterSquare(float $theta, float $meanSquareA2, float $minutes): float
    {
        $end = $this->steady($meanSquareA2);

        return $end + ($theta - $end) * exp(-$minutes / $this->tauMinutes);
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
            $squareA2 > 0 => 1e6,
            default => 0.0,
        };
    }
}
