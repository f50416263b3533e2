<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;

/** Takes readings one by one and keeps what the judgement needs; its memory use doesn't grow with the session. */
final class Meter
{
    private const MINUTE_S = 60.0;

    /** A sustained value is a mean over this time (s). */
    public const SUSTAINED_S = 10 * self::MINUTE_S;

    /** The most flags, and gaps, kept for the report; the rest are only counted. */
    private const MOST_FLAGS = 200;

    private const MOST_GAPS = 200;

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

    private int $gapsLeftOut = 0;

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

    /** The energy in gaps between readings (kWh). */
    private float $bridgedKwh = 0.0;

    /** When kW were last known (s), and how many. */
    private ?float $lastKwS = null;

    private float $lastKw = 0.0;

    /** @var array<int, int> how often each interval between amps (whole seconds) occurred */
    private array $intervals = [];

    private readonly TemperatureMeter $temperatures;

    private readonly Course $course;

    /** @param  array<string, DutyMeter>  $duties by link id */
    public function __construct(
        private readonly ReadingCompleter $completer,
        private readonly Plausibility $plausibility,
        private readonly array $duties,
    ) {
        $this->meanA = new RollingMean(self::SUSTAINED_S, self::MINUTE_S);
        $this->meanKw = new RollingMean(self::SUSTAINED_S, self::MINUTE_S);
        $this->temperatures = new TemperatureMeter;
        $this->course = new Course;
    }

    /** @return CompletedReading the reading with what follows from it */
    public function add(Reading $reading): CompletedReading
    {
        $completed = $this->completer->complete($reading);
        $flags = $this->plausibility->flags($completed);
        if ($flags !== []) {
            $this->keep($flags);
        }
        $tS = $reading->tMs / 1000;
        if (($completed->volts ?? -1.0) > $this->highestV || ($completed->amps ?? -1.0) > $this->highestA || ($completed->kw ?? -1.0) > $this->highestKw) {
            $this->peaks($completed, $flags);
        }
        if ($reading->celsius !== []) {
            $this->temperatures($reading);
        }
        if ($completed->amps !== null) {
            $this->readingsWithAmps++;
        }
        if ($this->lastTs === null || $tS >= $this->lastTs) {
            $this->inTime($tS, $completed);
        }
        $this->lastTs = $tS;
        if ($reading->socPct !== null) {
            $this->firstSoc ??= $reading->socPct;
            $this->lastSoc = $reading->socPct;
        }
        $this->readings++;

        return $completed;
    }

    /** Sums over time; a reading earlier than the one before it is left out. */
    private function inTime(float $tS, CompletedReading $completed): void
    {
        if ($this->lastTs !== null && $tS - $this->lastTs > Gap::LONGEST_S) {
            $this->gap(new Gap($this->lastTs, $tS));
        }
        if ($completed->amps !== null) {
            $this->amps($tS, $completed->amps);
        }
        if ($completed->kw !== null) {
            $this->power($tS, $completed->kw);
        }
        $this->course->add($completed);
    }

    private function gap(Gap $gap): void
    {
        if (count($this->gaps) < self::MOST_GAPS) {
            $this->gaps[] = $gap;
        } else {
            $this->gapsLeftOut++;
        }
    }

    private function temperatures(Reading $reading): void
    {
        $ambientC = $reading->celsius[Point::Ambient->value] ?? null;
        if ($ambientC !== null) {
            foreach ($this->duties as $duty) {
                $duty->ambient($reading->tS(), $ambientC);
            }
        }
        $this->temperatures->add($reading);
    }

    public function measured(): Measurements
    {
        return new Measurements(
            count: new ReadingCount($this->readings, $this->readingsWithAmps, $this->lastTs, $this->samplingGapS()),
            peaks: $this->peaks,
            means: new HighestMeans(tenMinA: $this->meanA->highest(0), tenMinKw: $this->meanKw->highest(0), oneMinA: $this->meanA->highest(1), oneMinKw: $this->meanKw->highest(1)),
            energy: new EnergyRead(
                kwh: $this->hasEnergy ? $this->energyKwh : null,
                bridgedShare: ! $this->hasEnergy ? null : ($this->energyKwh > 0 ? $this->bridgedKwh / $this->energyKwh : 0.0),
                firstSoc: $this->firstSoc,
                lastSoc: $this->lastSoc,
            ),
            irregularities: new Irregularities($this->gaps, $this->gapsLeftOut, $this->flags, $this->flagsLeftOut),
            duties: $this->duties,
            temperatures: $this->temperatures,
            course: $this->course,
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

    /** @param  list<Flag>  $flags  of this reading */
    private function peaks(CompletedReading $completed, array $flags): void
    {
        $this->peak(Quantity::Volts, $completed->volts, $completed->voltsFrom, $completed->reading->tMs, $flags);
        $this->peak(Quantity::Amps, $completed->amps, $completed->ampsFrom, $completed->reading->tMs, $flags);
        $this->peak(Quantity::Kw, $completed->kw, $completed->kwFrom, $completed->reading->tMs, $flags);
        $this->highestV = $this->peaks[Quantity::Volts->value]->value ?? -1.0;
        $this->highestA = $this->peaks[Quantity::Amps->value]->value ?? -1.0;
        $this->highestKw = $this->peaks[Quantity::Kw->value]->value ?? -1.0;
    }

    /**
     * Of several equal ones the first is kept.
     *
     * @param  list<Flag>  $flags
     */
    private function peak(Quantity $quantity, ?float $value, Provenance $from, int $tMs, array $flags): void
    {
        if ($value !== null && $value > ($this->peaks[$quantity->value]->value ?? -1.0)) {
            $this->peaks[$quantity->value] = new PeakValue($value, $tMs, $from, array_filter($flags, static fn (Flag $f): bool => $f->spoils($from)) !== []);
        }
    }

    private function amps(float $tS, float $amps): void
    {
        if ($this->lastAmpsS !== null) {
            $sinceS = $tS - $this->lastAmpsS;
            if ($sinceS < 0 || $sinceS > Gap::LONGEST_S) {
                $this->meanA->interrupt();
            }
            if ($sinceS >= 0) {
                $whole = (int) round($sinceS);
                $this->intervals[$whole] = ($this->intervals[$whole] ?? 0) + 1;
            }
        }
        foreach ($this->duties as $duty) {
            $duty->add($tS, $amps);
        }
        $this->meanA->add($tS, $amps);
        $this->lastAmpsS = $tS;
    }

    /** Where a clock was set back between two readings, the time between them isn't known and nothing is added up. */
    private function power(float $tS, float $kw): void
    {
        if ($this->lastKwS !== null) {
            $sinceS = $tS - $this->lastKwS;
            if ($sinceS < 0 || $sinceS > Gap::LONGEST_S) {
                $this->meanKw->interrupt();
            }
            if ($sinceS >= 0) {
                $kwh = ($this->lastKw + $kw) / 2 * $sinceS / 3600;
                $this->energyKwh += $kwh;
                $this->bridgedKwh += $sinceS > Gap::LONGEST_S ? $kwh : 0.0;
                $this->hasEnergy = true;
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
