<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\HeatLink;
use Harmozon\Core\Power\LimitSet;

/** Adds up the steps of a session: totals up to the target, and the minutes of every 5 % up to one step beyond it. */
final class Tally
{
    /** Points closer than this tell nothing more (s), unless the link that binds changes. */
    private const CLOSEST_S = 4.0;

    /** How long before a fall of the power its upper side is shown (s). */
    private const INSTANT_S = 0.1;

    /** A fall worth showing (kW). */
    private const FALL_KW = 0.5;

    private const SAME_SOC = 1e-6;

    private float $plugKwh = 0.0;

    private float $peakKw = 0.0;

    /** @var array<string, float> seconds by binding code */
    private array $secondsByBinding = [];

    /** @var list<Step> */
    private array $points = [];

    private ?Step $last = null;

    private ?Step $end = null;

    /** @var array<string, float> seconds since plugging in, by link id */
    private array $fullAtS = [];

    private ?float $goOnAtSoc = null;

    /** @var array<string, array{soc: float, s: float, kwh: float}> by mark */
    private array $passed = [];

    /** @var list<float> */
    private array $ahead;

    private float $allKwh = 0.0;

    /**
     * @param  list<HeatLink>  $heat
     * @param  float  $lastSoc  how far the walk goes for the sake of the next 5 %
     */
    public function __construct(
        private readonly array $heat,
        private readonly float $fromSoc,
        private readonly float $endSoc,
        private readonly float $lastSoc,
        private readonly ?float $nextStopKw,
    ) {
        $this->ahead = [$fromSoc, ...$this->marks()];
    }

    /** @return list<float> states of charge at which a step must end, rising */
    public function marks(): array
    {
        $marks = [];
        foreach ([...$this->fives(), $this->endSoc, $this->lastSoc] as $soc) {
            if ($soc > $this->fromSoc && $soc <= $this->lastSoc) {
                $marks[] = $soc;
            }
        }
        $marks = array_unique($marks);
        sort($marks);

        return $marks;
    }

    public function add(Step $step): void
    {
        $isFlowing = $step->binding !== BindingCode::Handshake;
        if ($isFlowing) {
            $this->pass($step);
        }
        $this->allKwh += $step->plugKwh;
        if ($this->end !== null) {
            return;
        }
        if ($this->last !== null) {
            $this->watchNextStop($this->last, $step->soc);
        }
        $isEnd = $step->lengthS <= 0.0 || ($isFlowing && $step->soc >= $this->endSoc - self::SAME_SOC);
        $this->point($step, $isEnd);
        if ($isEnd) {
            $this->end = $step;

            return;
        }
        $this->plugKwh += $step->plugKwh;
        $this->peakKw = max($this->peakKw, $step->kw, $step->endKw);
        if ($isFlowing) {
            $code = $step->binding->value;
            $this->secondsByBinding[$code] = ($this->secondsByBinding[$code] ?? 0.0) + $step->lengthS;
            $this->watchHeat($step);
        }
    }

    /** Whether the target was reached, as far as the station goes. */
    public function isClosed(): bool
    {
        return $this->end !== null && $this->end->soc >= $this->endSoc - self::SAME_SOC;
    }

    /**
     * @param  float  $efficiency  share of the plug's energy that reaches the pack
     * @param  string|null  $stopped  why it ended before the target
     * @param  LimitSet|null  $car  what the vehicle alone would allow
     */
    public function forecast(ChainAnswer $answer, float $efficiency, ?string $stopped, ?LimitSet $car): Forecast
    {
        $end = $this->end ?? throw new \LogicException('a walk ends with a step of no length');

        return new Forecast(
            $answer,
            $end->tS / 60,
            $this->plugKwh,
            $this->plugKwh * $efficiency,
            $this->peakKw,
            $end->soc,
            array_map(static fn (float $s): float => $s / 60, $this->secondsByBinding),
            $stopped,
            array_map(fn (HeatLink $l): HeatReport => new HeatReport($l, $end->theta[$l->linkId], isset($this->fullAtS[$l->linkId]) ? $this->fullAtS[$l->linkId] / 60 : null), $this->heat),
            $this->marginal(),
            $this->points,
            [],
            $this->goOnAtSoc,
            $car,
        );
    }

    /** The beginning of every step but very short ones; where the power falls at once, both sides of the fall are kept. */
    private function point(Step $step, bool $isEnd): void
    {
        $last = $this->last;
        $newest = $this->points[count($this->points) - 1] ?? null;
        if ($last !== null && $newest !== null && $newest->tS < $step->tS - 2 * self::INSTANT_S && abs($last->endKw - $step->kw) > self::FALL_KW) {
            $newest = $this->points[] = $last->justBeforeEnd($step->soc, $step->volts, self::INSTANT_S);
        }
        $changes = $last === null || $newest?->binding !== $step->binding || $newest->linkId !== $step->linkId || abs($last->endKw - $step->kw) > self::FALL_KW;
        if ($newest === null || $changes || $isEnd || $step->tS - $newest->tS >= self::CLOSEST_S || $step->lengthS > Integrator::LONGEST_STEP_S - self::CLOSEST_S) {
            $this->points[] = $step;
        }
        $this->last = $step;
    }

    /** When the links were at their limit. */
    private function watchHeat(Step $step): void
    {
        foreach ($this->heat as $link) {
            if (! isset($this->fullAtS[$link->linkId]) && $step->theta[$link->linkId] >= Envelope::FULL) {
                $this->fullAtS[$link->linkId] = $step->tS;
            }
        }
    }

    /** From where on the next stop would give more; along a step the power is a straight line over the charge. */
    private function watchNextStop(Step $step, float $endSoc): void
    {
        $nextKw = $this->nextStopKw;
        if ($nextKw === null || $step->binding === BindingCode::Handshake || $step->binding === BindingCode::Ramp) {
            return;
        }
        if ($step->kw < $nextKw && $this->goOnAtSoc === null) {
            $this->goOnAtSoc = $step->soc;
        }
        if ($step->endKw >= $nextKw) {
            $this->goOnAtSoc = null;
        } elseif ($step->kw >= $nextKw) {
            $this->goOnAtSoc = $step->soc + ($step->kw - $nextKw) / ($step->kw - $step->endKw) * ($endSoc - $step->soc);
        }
    }

    private function pass(Step $step): void
    {
        while ($this->ahead !== [] && $step->soc >= $this->ahead[0] - self::SAME_SOC) {
            $this->passed[self::key(array_shift($this->ahead))] = ['soc' => $step->soc, 's' => $step->tS, 'kwh' => $this->allKwh];
        }
    }

    /** @return list<float> the multiples of 5 % in the walk */
    private function fives(): array
    {
        $fives = [];
        for ($soc = Marginal::STEP_PERCENT * ceil($this->fromSoc / Marginal::STEP_PERCENT); $soc <= $this->lastSoc; $soc += Marginal::STEP_PERCENT) {
            $fives[] = $soc;
        }

        return $fives;
    }

    /** @return list<Marginal> from every multiple of 5 % below the end, and from the end on */
    private function marginal(): array
    {
        $marginal = [];
        foreach (array_unique([...array_filter($this->fives(), fn (float $s): bool => $s < $this->endSoc), $this->endSoc]) as $soc) {
            $from = $this->passed[self::key($soc)] ?? null;
            $to = $this->passed[self::key(min($soc + Marginal::STEP_PERCENT, 100.0))] ?? null;
            if ($from !== null && $to !== null && $to['soc'] > $from['soc']) {
                $share = Marginal::STEP_PERCENT / ($to['soc'] - $from['soc']);
                $marginal[] = new Marginal($soc, ($to['s'] - $from['s']) / 60 * $share, ($to['kwh'] - $from['kwh']) * $share);
            }
        }

        return $marginal;
    }

    private static function key(float $soc): string
    {
        return (string) round($soc, 4);
    }
}
