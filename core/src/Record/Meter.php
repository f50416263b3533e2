<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;

/** Takes readings one by one and keeps what the judgement needs; its memory does not grow with the session. */
final class Meter
{
    private const MINUTE_S = 60.0;

    /** A sustained value is a mean over so long. */
    private const SUSTAINED_S = 10 * self::MINUTE_S;

    /** Flags kept for the report; the rest are only counted. */
    private const MOST_FLAGS = 200;

    private int $readings = 0;

    private int $readingsWithAmps = 0;

    /** @var array<value-of<Quantity>, PeakValue> */
    private array $peaks = [];

    /** The highest values so far; no reading is below 0. */
    private float $highestV = -1.0;

    private float $highestA = -1.0;

    private float $highestKw = -1.0;

    private readonly RollingMean $meanA;

    private readonly RollingMean $meanKw;

    /** @var list<Gap> */
    private array $gaps = [];

    /** @var list<Flag> */
    private array $flags = [];

    private int $flagsLeftOut = 0;

    private float $energyKwh = 0.0;

    private bool $hasEnergy = false;

    private ?float $firstSoc = null;

    private ?float $lastSoc = null;

    private ?float $lastTs = null;

    /** When amps were last known (s). */
    private ?float $lastAmpsS = null;

    /** When kW were last known (s), and how many. */
    private ?float $lastKwS = null;

    private float $lastKw = 0.0;

    /** @var array<int, int> how often each interval between amps (whole seconds) occurred */
    private array $intervals = [];

    private readonly TemperatureMeter $temperatures;

    /** @param  array<string, DutyMeter>  $duties by link id */
    public function __construct(
        private readonly Completer $completer,
        private readonly Plausibility $plausibility,
        private readonly array $duties,
    ) {
        $this->meanA = new RollingMean(self::SUSTAINED_S, self::MINUTE_S);
        $this->meanKw = new RollingMean(self::SUSTAINED_S, self::MINUTE_S);
        $this->temperatures = new TemperatureMeter;
    }

    /** @return Completed the reading with what follows from it */
    public function add(Reading $reading): Completed
    {
        $completed = $this->completer->complete($reading);
        $flags = $this->plausibility->flags($completed);
        if ($flags !== []) {
            $this->keep($flags);
        }
        $tS = $reading->tMs / 1000;
        $this->follow($tS);
        if (($completed->volts ?? -1.0) > $this->highestV || ($completed->amps ?? -1.0) > $this->highestA || ($completed->kw ?? -1.0) > $this->highestKw) {
            $this->peaks($completed, $flags !== []);
        }
        if ($reading->celsius !== []) {
            $this->temperatures($reading);
        }
        if ($completed->amps !== null) {
            $this->amps($tS, $completed->amps);
        }
        if ($completed->kw !== null) {
            $this->power($tS, $completed->kw);
        }
        if ($reading->socPct !== null) {
            $this->firstSoc ??= $reading->socPct;
            $this->lastSoc = $reading->socPct;
        }
        $this->readings++;

        return $completed;
    }

    private function temperatures(Reading $reading): void
    {
        $ambientC = $reading->celsius[Point::Ambient->value] ?? null;
        if ($ambientC !== null) {
            foreach ($this->duties as $duty) {
                $duty->ambient($ambientC);
            }
        }
        $this->temperatures->add($reading);
    }

    public function measured(): Measured
    {
        return new Measured(
            $this->readings,
            $this->readingsWithAmps,
            $this->peaks,
            $this->meanA->highest(0),
            $this->meanKw->highest(0),
            $this->meanA->highest(1),
            $this->meanKw->highest(1),
            $this->hasEnergy ? $this->energyKwh : null,
            $this->firstSoc,
            $this->lastSoc,
            $this->lastTs,
            $this->gaps,
            $this->flags,
            $this->flagsLeftOut,
            $this->duties,
            $this->samplingGapS(),
            $this->temperatures,
        );
    }

    /** @param  list<Flag>  $flags */
    private function keep(array $flags): void
    {
        foreach ($flags as $flag) {
            if (count($this->flags) < self::MOST_FLAGS) {
                $this->flags[] = $flag;
            } else {
                $this->flagsLeftOut++;
            }
        }
    }

    /** Notes gaps, and begins anew where the clock went back. */
    private function follow(float $tS): void
    {
        if ($this->lastTs !== null && $tS < $this->lastTs) {
            $this->lastAmpsS = $this->lastKwS = null;
            $this->meanA->interrupt();
            $this->meanKw->interrupt();
        } elseif ($this->lastTs !== null && $tS - $this->lastTs > Gap::LONGEST_S) {
            $this->gaps[] = new Gap($this->lastTs, $tS);
        }
        $this->lastTs = $tS;
    }

    private function peaks(Completed $completed, bool $isDoubtful): void
    {
        $tMs = $completed->reading->tMs;
        if ($completed->volts !== null && $completed->volts > $this->highestV) {
            $this->highestV = $completed->volts;
            $this->peaks[Quantity::Volts->value] = new PeakValue($this->highestV, $tMs, $completed->voltsFrom, $isDoubtful);
        }
        if ($completed->amps !== null && $completed->amps > $this->highestA) {
            $this->highestA = $completed->amps;
            $this->peaks[Quantity::Amps->value] = new PeakValue($this->highestA, $tMs, $completed->ampsFrom, $isDoubtful);
        }
        if ($completed->kw !== null && $completed->kw > $this->highestKw) {
            $this->highestKw = $completed->kw;
            $this->peaks[Quantity::Kw->value] = new PeakValue($this->highestKw, $tMs, $completed->kwFrom, $isDoubtful);
        }
    }

    private function amps(float $tS, float $amps): void
    {
        $this->readingsWithAmps++;
        if ($this->lastAmpsS !== null) {
            $sinceS = $tS - $this->lastAmpsS;
            $whole = (int) round($sinceS);
            $this->intervals[$whole] = ($this->intervals[$whole] ?? 0) + 1;
            if ($sinceS > Gap::LONGEST_S) {
                $this->meanA->interrupt();
            }
        }
        foreach ($this->duties as $duty) {
            $duty->add($tS, $amps);
        }
        $this->meanA->add($tS, $amps);
        $this->lastAmpsS = $tS;
    }

    private function power(float $tS, float $kw): void
    {
        if ($this->lastKwS !== null) {
            $this->energyKwh += ($this->lastKw + $kw) / 2 * ($tS - $this->lastKwS) / 3600;
            $this->hasEnergy = true;
            if ($tS - $this->lastKwS > Gap::LONGEST_S) {
                $this->meanKw->interrupt();
            }
        }
        $this->meanKw->add($tS, $kw);
        $this->lastKwS = $tS;
        $this->lastKw = $kw;
    }

    /** The usual interval between two readings of amps: their median (s). */
    private function samplingGapS(): float
    {
        ksort($this->intervals);
        $half = array_sum($this->intervals) / 2;
        $seen = 0;
        foreach ($this->intervals as $seconds => $times) {
            $seen += $times;
            if ($seen >= $half) {
                return (float) $seconds;
            }
        }

        return 0.0;
    }
}
