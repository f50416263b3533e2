<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Power\Duty;
use Harmozon\Core\Power\EffectivePlate;

/**
 * Follows the amps through one piece: how long above its continuous rating, and the heat load they imply. Minutes above in
 * a gap that nobody read are counted apart.
 */
final class DutyMeter
{
    /** Longest step of the heat load (s). */
    private const STEP_S = 10.0;

    private Duty $duty;

    private float $theta;

    private float $thetaMax;

    private float $readSinceRestedS = 0.0;

    private float $mostReadS = 0.0;

    private float $unreadSinceRestedS = 0.0;

    private float $mostUnreadS = 0.0;

    private float $mostS = 0.0;

    /** How long the amps have been above the rating by no more than the tolerance, and the longest such run. */
    private float $edgeRunS = 0.0;

    private float $longestEdgeRunS = 0.0;

    private readonly Duty $ratedDuty;

    /** When the ambient was last read (s); null while it is the one of the conditions. */
    private ?float $ambientS = null;

    /** The ambient temperature read then (°C): while it is the same, so is the duty rating. */
    private ?float $ambientC = null;

    private ?float $lastS = null;

    private float $lastA = 0.0;

    private bool $wasWarm;

    /** The last interval (s) and the decay of each of its steps, cached because most intervals are equal. */
    private float $intervalS = 0.0;

    private float $stepLeft = 1.0;

    private readonly float $continuousA;

    private readonly float $aboveA;

    /**
     * @param  float  $tolerance  instrument tolerance: amps count as above continuous beyond it
     */
    private function __construct(
        private readonly EffectivePlate $now,
        Duty $duty,
        float $theta,
        float $tolerance,
    ) {
        $this->duty = $this->ratedDuty = $duty;
        $this->theta = $this->thetaMax = $theta;
        $this->wasWarm = $theta >= Duty::RESTED;
        $this->continuousA = $duty->continuousA;
        $this->aboveA = $duty->continuousA * (1 + $tolerance);
    }

    /** @return self|null null when the plate's amps are not known */
    public static function of(EffectivePlate $now, ?float $ambientC, float $theta, float $tolerance): ?self
    {
        $duty = $now->duty($ambientC);

        return $duty === null ? null : new self($now, $duty, $theta, $tolerance);
    }

    /** A recent ambient reading replaces the one in the conditions. */
    public function ambient(float $tS, float $celsius): void
    {
        if ($celsius !== $this->ambientC || $this->ambientS === null) {
            $this->duty = $this->now->duty($celsius) ?? $this->duty;
            $this->ambientC = $celsius;
        }
        $this->ambientS = $tS;
    }

    /** Between two readings the current is assumed to change linearly, however far apart they are. */
    public function add(float $tS, float $amps): void
    {
        if ($this->ambientS !== null && $tS - $this->ambientS > TemperatureMeter::AMBIENT_LASTS_S) {
            $this->duty = $this->ratedDuty;
            $this->ambientS = null;
        }
        $seconds = $this->lastS === null ? 0.0 : $tS - $this->lastS;
        if ($seconds > 0.0) {
            $this->heat($seconds, $this->lastA, $amps);
            if ($amps > $this->continuousA || $this->lastA > $this->continuousA) {
                $this->countAbove($this->lastA, $amps, $seconds);
            } else {
                $this->endEdgeRun();
            }
        }
        $isWarm = $this->theta >= Duty::RESTED;
        if ($this->wasWarm && ! $isWarm) {
            $this->readSinceRestedS = $this->unreadSinceRestedS = 0.0;
        }
        $this->wasWarm = $isWarm;
        $this->lastS = $tS;
        $this->lastA = $amps;
    }

    /** The load now. */
    public function theta(): float
    {
        return $this->theta;
    }

    public function thetaMax(): float
    {
        return $this->thetaMax;
    }

    /**
     * The most minutes above continuous between two rests, of what was read. No single run is longer: while the amps are
     * above, nothing rests.
     */
    public function minutesOverContinuous(): float
    {
        return $this->mostReadS / 60;
    }

    /** Minutes above, since the piece was last rested, in gaps that nobody read. */
    public function minutesOverUnread(): float
    {
        return $this->mostUnreadS / 60;
    }

    /** Both together, since the piece was last rested. */
    public function minutesOverInAll(): float
    {
        return $this->mostS / 60;
    }

    /** Longest single run above continuous by no more than the tolerance. */
    public function longestEdgeRunMinutes(): float
    {
        return max($this->longestEdgeRunS, $this->edgeRunS) / 60;
    }

    private function heat(float $seconds, float $fromA, float $toA): void
    {
        $steps = $seconds <= self::STEP_S ? 1 : (int) ceil($seconds / self::STEP_S);
        if ($seconds !== $this->intervalS) {
            $this->intervalS = $seconds;
            $this->stepLeft = $this->duty->left($seconds / $steps / 60);
        }
        $rise = ($toA - $fromA) / $steps;
        for ($i = 0; $i < $steps; $i++) {
            $a = $fromA + $rise * $i;
            $b = $a + $rise;
            $this->theta = $this->duty->approach($this->theta, Duty::meanSquareA2($a, $b), $this->stepLeft);
            if ($this->theta > $this->thetaMax) {
                $this->thetaMax = $this->theta;
            }
        }
    }

    /** Counts the part of a straight line from a to b that is above the rating. */
    private function countAbove(float $a, float $b, float $seconds): void
    {
        $aboveS = $seconds * self::shareAbove($a, $b, $this->aboveA);
        if ($seconds > Gap::LONGEST_S) {
            $this->endEdgeRun();
            $this->unreadSinceRestedS += $aboveS;
            $this->mostUnreadS = max($this->mostUnreadS, $this->unreadSinceRestedS);
        } else {
            $this->edgeRunS += $seconds * self::shareAbove($a, $b, $this->continuousA) - $aboveS;
            if (! $this->isEdge($b)) {
                $this->endEdgeRun();
            }
            $this->readSinceRestedS += $aboveS;
            $this->mostReadS = max($this->mostReadS, $this->readSinceRestedS);
        }
        $this->mostS = max($this->mostS, $this->readSinceRestedS + $this->unreadSinceRestedS);
    }

    private function isEdge(float $amps): bool
    {
        return $amps > $this->continuousA && $amps <= $this->aboveA;
    }

    /** The share of a straight line from a to b that is above a limit. */
    private static function shareAbove(float $a, float $b, float $limit): float
    {
        return match (true) {
            $a <= $limit && $b <= $limit => 0.0,
            $a > $limit && $b > $limit => 1.0,
            default => (max($a, $b) - $limit) / abs($b - $a),
        };
    }

    private function endEdgeRun(): void
    {
        $this->longestEdgeRunS = max($this->longestEdgeRunS, $this->edgeRunS);
        $this->edgeRunS = 0.0;
    }
}
