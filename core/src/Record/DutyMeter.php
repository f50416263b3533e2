<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Power\Duty;

/** Follows the amps through one piece: how long above its continuous rating, and the heat load they imply. */
final class DutyMeter
{
    /** Below this load a piece counts as rested, and the minutes above continuous start anew. */
    private const RESTED_THETA = 0.5;

    /** Longest step of the heat load (s). */
    private const STEP_S = 10.0;

    private Duty $duty;

    private float $theta;

    private float $thetaMax;

    private float $runS = 0.0;

    private float $longestRunS = 0.0;

    private float $sinceRestedS = 0.0;

    private float $mostSinceRestedS = 0.0;

    private ?float $lastS = null;

    private float $lastA = 0.0;

    private bool $wasWarm;

    private readonly float $aboveA;

    /**
     * @param  bool  $cooled  a cooled cable is not derated by the ambient
     * @param  float  $tolerance  instrument tolerance: amps count as above continuous beyond it
     */
    private function __construct(
        private readonly Plate $plate,
        float $continuousA,
        private readonly float $ageing,
        private readonly bool $cooled,
        Duty $duty,
        float $theta,
        float $tolerance,
    ) {
        $this->duty = $duty;
        $this->theta = $this->thetaMax = $theta;
        $this->wasWarm = $theta >= self::RESTED_THETA;
        $this->aboveA = $continuousA * (1 + $tolerance);
    }

    /** @return self|null null when the plate's amps are not known */
    public static function of(Plate $plate, ?float $ambientC, float $theta, float $tolerance, float $ageing = 1.0, bool $cooled = false): ?self
    {
        $duty = Duty::of($plate, $ambientC, $ageing, $cooled);

        return $duty === null || $plate->continuousA === null ? null : new self($plate, $plate->continuousA, $ageing, $cooled, $duty, $theta, $tolerance);
    }

    public function ambient(float $celsius): void
    {
        $this->duty = Duty::of($this->plate, $celsius, $this->ageing, $this->cooled) ?? $this->duty;
    }

    /**
     * Between two readings the amps are taken to run straight, however far apart they are: with readings noted by hand
     * every few minutes, not to count the time between them would call a long boost short.
     */
    public function add(float $tS, float $amps): void
    {
        $lastS = $this->lastS;
        if ($lastS !== null && $tS > $lastS) {
            $this->heat($lastS, $this->lastA, $tS, $amps);
            $this->countAbove($this->lastA, $amps, $tS - $lastS);
        }
        $isWarm = $this->theta >= self::RESTED_THETA;
        if ($this->wasWarm && ! $isWarm) {
            $this->sinceRestedS = 0.0;
        }
        $this->wasWarm = $isWarm;
        [$this->lastS, $this->lastA] = [$tS, $amps];
    }

    public function thetaMax(): float
    {
        return $this->thetaMax;
    }

    public function longestRunMinutes(): float
    {
        return max($this->longestRunS, $this->runS) / 60;
    }

    /** Longest single run above continuous, or the sum since the piece was last rested, whichever is more. */
    public function minutesOverContinuous(): float
    {
        return max($this->longestRunMinutes(), $this->mostSinceRestedS / 60);
    }

    private function heat(float $fromS, float $fromA, float $toS, float $toA): void
    {
        $steps = max(1, (int) ceil(($toS - $fromS) / self::STEP_S));
        $minutes = ($toS - $fromS) / $steps / 60;
        for ($i = 0; $i < $steps; $i++) {
            $a = $fromA + ($toA - $fromA) * $i / $steps;
            $b = $fromA + ($toA - $fromA) * ($i + 1) / $steps;
            $this->theta = $this->duty->afterSquare($this->theta, ($a * $a + $a * $b + $b * $b) / 3, $minutes);
            $this->thetaMax = max($this->thetaMax, $this->theta);
        }
    }

    /** The share of a stretch during which a straight line from a to b lies above the rating. */
    private function countAbove(float $a, float $b, float $seconds): void
    {
        $limit = $this->aboveA;
        if ($a <= $limit && $b <= $limit) {
            $this->endRun();

            return;
        }
        $share = $a > $limit && $b > $limit ? 1.0 : (max($a, $b) - $limit) / abs($b - $a);
        if ($a <= $limit) {
            $this->endRun();
        }
        $this->runS += $share * $seconds;
        $this->sinceRestedS += $share * $seconds;
        $this->mostSinceRestedS = max($this->mostSinceRestedS, $this->sinceRestedS);
        if ($b <= $limit) {
            $this->endRun();
        }
    }

    private function endRun(): void
    {
        $this->longestRunS = max($this->longestRunS, $this->runS);
        $this->runS = 0.0;
    }
}
