<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** Takes readings one by one and keeps what the judgement needs; its memory does not grow with the session. */
final class Meter
{
    private const MINUTE_S = 60.0;

    /** Flags kept for the report; the rest are only counted. */
    private const MOST_FLAGS = 200;

    private int $readings = 0;

    private int $readingsWithAmps = 0;

    /** @var array<value-of<Quantity>, PeakValue> */
    private array $peaks = [];

    /** @var array<value-of<Quantity>, list<RollingMean>> highest 10-minute and 1-minute means, in that order */
    private array $means;

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

    /** @var array<value-of<Quantity>, array{float, float}> time (s) and value last read */
    private array $last = [];

    /** @var array<int, int> how often each interval between amps (whole seconds) occurred */
    private array $intervals = [];

    private readonly TemperatureMeter $temperatures;

    /** @param  array<string, DutyMeter>  $duties by link id */
    public function __construct(
        private readonly Completer $completer,
        private readonly Plausibility $plausibility,
        private readonly array $duties,
    ) {
        $this->means = [
            Quantity::Amps->value => [new RollingMean(10 * self::MINUTE_S), new RollingMean(self::MINUTE_S)],
            Quantity::Kw->value => [new RollingMean(10 * self::MINUTE_S), new RollingMean(self::MINUTE_S)],
        ];
        $this->temperatures = new TemperatureMeter;
    }

    public function add(Reading $reading): void
    {
        $completed = $this->completer->complete($reading);
        $flags = $this->plausibility->flags($completed);
        $this->keep($flags);
        $tS = $reading->tS();
        $this->follow($tS);
        foreach (Quantity::cases() as $quantity) {
            $value = $completed->of($quantity);
            if ($value !== null) {
                $this->peak($quantity, $value, $reading->tMs, $flags !== []);
            }
        }
        $ambient = $reading->celsius[Point::Ambient->value] ?? null;
        if ($ambient !== null) {
            foreach ($this->duties as $duty) {
                $duty->ambient($ambient);
            }
        }
        $this->amps($tS, $completed->amps);
        $this->power($tS, $completed->kw);
        $this->temperatures->add($reading);
        if ($reading->socPct !== null) {
            $this->firstSoc ??= $reading->socPct;
            $this->lastSoc = $reading->socPct;
        }
        $this->readings++;
    }

    public function measured(): Measured
    {
        $mean = fn (Quantity $q, int $which): ?float => $this->means[$q->value][$which]->highest();

        return new Measured(
            $this->readings,
            $this->readingsWithAmps,
            $this->peaks,
            $mean(Quantity::Amps, 0),
            $mean(Quantity::Kw, 0),
            $mean(Quantity::Amps, 1),
            $mean(Quantity::Kw, 1),
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
            $this->last = [];
            foreach ($this->means as $pair) {
                foreach ($pair as $mean) {
                    $mean->interrupt();
                }
            }
        } elseif ($this->lastTs !== null && $tS - $this->lastTs > Gap::LONGEST_S) {
            $this->gaps[] = new Gap($this->lastTs, $tS);
        }
        $this->lastTs = $tS;
    }

    private function peak(Quantity $quantity, Value $value, int $tMs, bool $isDoubtful): void
    {
        $highest = $this->peaks[$quantity->value] ?? null;
        if ($highest === null || $value->value > $highest->value) {
            $this->peaks[$quantity->value] = new PeakValue($value->value, $tMs, $value->provenance, $isDoubtful);
        }
    }

    private function amps(float $tS, ?Value $amps): void
    {
        if ($amps === null) {
            return;
        }
        $this->readingsWithAmps++;
        $before = $this->last[Quantity::Amps->value] ?? null;
        $isGap = $before !== null && $tS - $before[0] > Gap::LONGEST_S;
        if ($before !== null) {
            $whole = (int) round($tS - $before[0]);
            $this->intervals[$whole] = ($this->intervals[$whole] ?? 0) + 1;
        }
        foreach ($this->duties as $duty) {
            $duty->add($tS, $amps->value);
        }
        $this->mean(Quantity::Amps, $tS, $amps->value, $isGap);
    }

    private function power(float $tS, ?Value $kw): void
    {
        if ($kw === null) {
            return;
        }
        $before = $this->last[Quantity::Kw->value] ?? null;
        if ($before !== null) {
            $this->energyKwh += ($before[1] + $kw->value) / 2 * ($tS - $before[0]) / 3600;
            $this->hasEnergy = true;
        }
        $this->mean(Quantity::Kw, $tS, $kw->value, $before !== null && $tS - $before[0] > Gap::LONGEST_S);
    }

    private function mean(Quantity $quantity, float $tS, float $value, bool $isGap): void
    {
        foreach ($this->means[$quantity->value] as $mean) {
            if ($isGap) {
                $mean->interrupt();
            }
            $mean->add($tS, $value);
        }
        $this->last[$quantity->value] = [$tS, $value];
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
