<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\PackOnArrival;

/**
 * The smallest of all limits along a session. Between the knots of the curves every limit is a straight line over the
 * state of charge: the fewest amps times the volts, the fewest constant kW, the charge curve. Looked at in rising order.
 */
final class Envelope
{
    /** Two states of charge closer than this are one (percent). */
    private const SAME_SOC = 1e-9;

    /** No change of slope is nearer than this (percent), so that a forecast always makes progress. */
    private const LEAST_WARMING_PERCENT = 1e-6;

    /** The power every link allows at the last charge looked at (kW at the plug), and its slope (kW per percent). */
    public float $kw;

    public float $kwPerPercent;

    /** The state of charge up to which the same limit binds along the same line. */
    public float $untilSoc;

    /** Volts there (per phase, for AC), and how they change (V per percent). */
    public float $volts;

    public float $voltsPerPercent;

    public BindingCode $binding;

    public string $linkId;

    /** @var array<string, float> heat load by link id */
    public array $theta = [];

    /** @var array<string, true> links whose boost is spent, by id */
    public array $spent = [];

    /** @var array<string, HeatState> by link id */
    private array $heat = [];

    /** @var non-empty-list<CurveSegment> */
    private readonly array $segments;

    private int $at = 0;

    /** Where it was last looked. */
    private float $soc;

    /** A limit has changed since. */
    private bool $isStale = true;

    private readonly float $kwPerVA;

    private SmallestLimit $amps;

    private SmallestLimit $constantKw;

    /** @var list<KwLimit> that always hold, or may still end */
    private array $constant;

    /** @var list<AmpLimit> that began after the start */
    private array $laterAmps = [];

    /** Temperature of a battery that started cold; null of any other. */
    public ?float $packC = null;

    private float $elapsedS = 0.0;

    /**
     * @param  float  $socPerKwS  percent that a kW at the plug brings in a second
     * @param  bool  $obeysHeat  false: links keep allowing their boost whatever their load, as no sound charger would
     */
    public function __construct(
        private readonly LimitSet $limits,
        private readonly float $fromSoc,
        float $toSoc,
        private readonly float $socPerKwS,
        private readonly bool $obeysHeat = true,
    ) {
        $this->segments = CurveSegment::between($limits, $fromSoc, $toSoc);
        $this->kwPerVA = $limits->phases / 1000;
        foreach ($limits->changing->heat as $link) {
            $this->heat[$link->linkId] = new HeatState($link);
        }
        $this->tell();
        $this->packC = $limits->changing->warmth?->startC;
        $this->constant = $limits->kw;
        $this->constantKw = $this->fewestKw();
        $this->amps = $this->fewestAmps();
    }

    /** A constant limit that holds from now on. */
    public function add(KwLimit $limit): void
    {
        $this->constant[] = $limit;
        $this->constantKw = $this->fewestKw();
    }

    /** A limit of the current that holds from now on. */
    public function addAmps(AmpLimit $limit): void
    {
        $this->laterAmps[] = $limit;
        $this->amps = $this->fewestAmps();
    }

    /** Drops limits that end by this minute. */
    public function end(float $minute): void
    {
        $this->constant = array_values(array_filter($this->constant, static fn (KwLimit $l): bool => $l->untilMinute > $minute));
        $this->constantKw = $this->fewestKw();
    }

    /** Whether the battery is still cold, so that its limit changes with time. */
    public function isWarming(): bool
    {
        return $this->packC !== null && $this->packC < PackOnArrival::WARM_C;
    }

    /** Looks at a state of charge: sets everything that is public. */
    public function lookAt(float $soc): void
    {
        if (! $this->isStale && $soc >= $this->soc && $soc < $this->untilSoc - self::SAME_SOC) {
            $this->kw += $this->kwPerPercent * ($soc - $this->soc);
            $this->volts += $this->voltsPerPercent * ($soc - $this->soc);
            $this->soc = $soc;

            return;
        }
        $segment = $this->stretchAt($soc);
        $this->volts = $segment->voltsAt($soc);
        $this->voltsPerPercent = $segment->voltsPerPercent;
        $lines = $this->lines($segment, $soc);
        $lowest = LimitLine::lowest($lines);
        if ($this->isWarming()) {
            $lines = $this->lines($segment, $soc, $lowest->kw);
            $lowest = LimitLine::lowest($lines);
        }
        $this->kw = $lowest->kw;
        $this->kwPerPercent = $lowest->kwPerPercent;
        $this->binding = $lowest->code;
        $this->linkId = $lowest->linkId;
        $this->untilSoc = min($segment->toSoc, $soc + min($lowest->lowestForPercent($lines), $this->sameSlopeForPercent($lowest->kw)));
        $this->soc = $soc;
        $this->isStale = false;
    }

    private function stretchAt(float $soc): CurveSegment
    {
        while ($soc >= $this->segments[$this->at]->toSoc - self::SAME_SOC && isset($this->segments[$this->at + 1])) {
            $this->at++;
        }

        return $this->segments[$this->at];
    }

    /**
     * What the amps, the constant kW and the charge curve allow from here on.
     *
     * @param  float  $kw  at which a pack goes on warming
     * @return non-empty-list<LimitLine>
     */
    private function lines(CurveSegment $segment, float $soc, float $kw = INF): array
    {
        $lines = [];
        if ($this->amps->isKnown()) {
            $kwPerV = $this->amps->value * $this->kwPerVA;
            $lines[] = new LimitLine($kwPerV * $this->volts, $kwPerV * $segment->voltsPerPercent, $this->amps->code, $this->amps->linkId);
        }
        if ($this->constantKw->isKnown()) {
            $lines[] = new LimitLine($this->constantKw->value, 0.0, $this->constantKw->code, $this->constantKw->linkId);
        }
        if ($this->limits->curve !== null) {
            $lines[] = $this->curveLine($this->limits->curve, $segment, $soc, $kw);
        }

        return $lines !== [] ? $lines : throw new \LogicException('ask isKnown() first');
    }

    /** The share of the charge curve available to a cold battery; it grows as the battery warms up. */
    private function curveLine(CurveLimit $curve, CurveSegment $segment, float $soc, float $kw): LimitLine
    {
        $warmth = $this->limits->changing->warmth;
        $curveKw = $segment->curveKwAt($soc);
        if ($warmth === null || $this->packC === null) {
            return new LimitLine($curveKw, $segment->curveKwPerPercent, $curve->code, $curve->linkId);
        }
        $gain = $warmth->gain($this->packC);

        return new LimitLine(
            $curve->drawKw + ($curveKw - $curve->drawKw) * $gain,
            $segment->curveKwPerPercent * $gain + ($curveKw - $curve->drawKw) * $warmth->gainPerK($this->packC) * $this->kPerPercent($warmth, $kw),
            $this->isWarming() ? $curve->code : BindingCode::VehicleCurve,
            $curve->linkId,
        );
    }

    /** Percent of charge until the slope of the cold factor changes. */
    private function sameSlopeForPercent(float $kw): float
    {
        $warmth = $this->limits->changing->warmth;

        return $warmth === null || $this->packC === null || ! $this->isWarming()
            ? INF
            : max((ColdFactor::nextKneeC($this->packC) - $this->packC) / $this->kPerPercent($warmth, $kw), self::LEAST_WARMING_PERCENT);
    }

    private function kPerPercent(PackWarmth $warmth, float $kw): float
    {
        return $warmth->kPerPercent($this->socPerKwS * max($kw - $this->limits->drawKw, LimitSet::LEAST_KW));
    }

    /** Amps at the plug (per phase, for AC) for a power (kW) at a voltage (V). */
    public function amps(float $kw, float $volts): float
    {
        return $kw / ($volts * $this->kwPerVA);
    }

    /** Whether any limit depends on heat. */
    public function hasHeat(): bool
    {
        return $this->heat !== [] || $this->isWarming();
    }

    /** Seconds until the boost of a link is spent at these amps, when that happens within the span; else the span. */
    public function secondsUntilSpent(float $amps, float $spanS): float
    {
        foreach ($this->heat as $state) {
            $spanS = $state->secondsUntilSpent($amps, $spanS);
        }

        return $spanS;
    }

    /** Applies a current to every link for a time, given by its mean square (A²) and the amps at both ends, and charges the pack. */
    public function warm(float $meanSquareA2, float $fromA, float $toA, float $seconds, float $soc): void
    {
        $this->elapsedS += $seconds;
        if ($this->limits->changing->warmth !== null && $this->isWarming()) {
            $this->packC = $this->limits->changing->warmth->after($soc - $this->fromSoc, $this->elapsedS);
            $this->isStale = true;
        }
        $changed = false;
        foreach ($this->heat as $state) {
            $changed = $state->take($meanSquareA2, $fromA, $toA, $seconds) || $changed;
        }
        $this->tell();
        if ($changed) {
            $this->amps = $this->fewestAmps();
        }
    }

    private function tell(): void
    {
        $this->spent = [];
        foreach ($this->heat as $id => $state) {
            $this->theta[$id] = $state->theta;
            if ($state->isSpent) {
                $this->spent[$id] = true;
            }
        }
    }

    private function fewestKw(): SmallestLimit
    {
        $this->isStale = true;
        $least = new SmallestLimit;
        foreach ($this->constant as $limit) {
            $least->offer($limit->kw, $limit->code, $limit->linkId);
        }

        return $least;
    }

    private function fewestAmps(): SmallestLimit
    {
        $this->isStale = true;
        $least = new SmallestLimit;
        foreach ($this->limits->amps as $limit) {
            $state = $this->heat[$limit->linkId] ?? null;
            $least->offer(match (true) {
                $state === null => $limit->amps,
                $this->obeysHeat => $state->allowsA(),
                default => $state->link->duty->allowsA(0.0),
            }, $limit->code, $limit->linkId);
        }
        foreach ($this->laterAmps as $limit) {
            $least->offer($limit->amps, $limit->code, $limit->linkId);
        }

        return $least;
    }
}
