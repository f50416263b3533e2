<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Power\Duty;
use Harmozon\Core\Power\PlateNow;

/** Follows the amps through one piece: how long above its continuous rating, and the heat load they imply. */
final class DutyMeter
{
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

    /** The stretch that came last (s), and what each of its steps leaves of a difference in load: most are alike. */
    private float $stretchS = 0.0;

    private float $stepLeft = 1.0;

    private readonly float $aboveA;

    /**
     * @param  float  $tolerance  instrument tolerance: amps count as above continuous beyond it
     */
    private function __construct(
        private readonly PlateNow $now,
        Duty $duty,
        float $theta,
        float $tolerance,
    ) {
        $this->duty = $duty;
        $this->theta = $this->thetaMax = $theta;
        $this->wasWarm = $theta >= Duty::RESTED;
        $this->aboveA = $duty->continuousA * (1 + $tolerance);
    }

    /** @return self|null null when the plate's amps are not known */
    public static function of(PlateNow $now, ?float $ambientC, float $theta, float $tolerance): ?self
    {
        $duty = $now->duty($ambientC);

        return $duty === null ? null : new self($now, $duty, $theta, $tolerance);
    }

    public function ambient(float $celsius): void
    {
        $this->duty = $this->now->duty($celsius) ?? $this->duty;
    }

    /**
     * Between two readings the amps are taken to run straight, however far apart they are: with readings noted by hand
     * every few minutes, not to count the time between them would call a long boost short.
     */
    public function add(float $tS, float $amps): void
    {
        $seconds = $this->lastS === null ? 0.0 : $tS - $this->lastS;
        if ($seconds > 0.0) {
            $this->heat($seconds, $this->lastA, $amps);
            if ($amps > $this->aboveA || $this->lastA > $this->aboveA || $this->runS > 0.0) {
                $this->countAbove($this->lastA, $amps, $seconds);
            }
        }
        $isWarm = $this->theta >= Duty::RESTED;
        if ($this->wasWarm && ! $isWarm) {
            $this->sinceRestedS = 0.0;
        }
        $this->wasWarm = $isWarm;
        $this->lastS = $tS;
        $this->lastA = $amps;
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

    private function heat(float $seconds, float $fromA, float $toA): void
    {
        $steps = $seconds <= self::STEP_S ? 1 : (int) ceil($seconds / self::STEP_S);
        if ($seconds !== $this->stretchS) {
            $this->stretchS = $seconds;
            $this->stepLeft = $this->duty->left($seconds / $steps / 60);
        }
        $rise = ($toA - $fromA) / $steps;
        for ($i = 0; $i < $steps; $i++) {
            $a = $fromA + $rise * $i;
            $b = $a + $rise;
            $this->theta = $this->duty->approach($this->theta, ($a * $a + $a * $b + $b * $b) / 3, $this->stepLeft);
            if ($this->theta > $this->thetaMax) {
                $this->thetaMax = $this->theta;
            }
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
