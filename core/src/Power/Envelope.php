<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/**
 * The smallest of all limits along a session. Between the knots of the curves every limit is a straight line over the
 * state of charge: the fewest amps times the volts, the fewest constant kW, the charge curve. Looked at in rising order.
 */
final class Envelope
{
    /** Two states of charge closer than this are one (percent). */
    private const SAME_SOC = 1e-9;

    /** Power that every link allows where it was last looked (kW at the plug), and how it changes (kW per percent). */
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

    /** @var non-empty-list<Stretch> */
    private readonly array $stretches;

    private int $at = 0;

    /** Where it was last looked. */
    private float $soc;

    /** A limit has changed since. */
    private bool $isStale = true;

    private readonly float $kwPerVA;

    private Least $amps;

    private Least $constantKw;

    /** @param  bool  $obeysHeat  false: links keep allowing their boost whatever their load, as no sound charger would */
    public function __construct(private readonly LimitSet $limits, float $fromSoc, float $toSoc, private readonly bool $obeysHeat = true)
    {
        $this->stretches = Stretch::between($limits, $fromSoc, $toSoc);
        $this->kwPerVA = $limits->phases / 1000;
        foreach ($limits->heat as $link) {
            $this->heat[$link->linkId] = new HeatState($link);
        }
        $this->tell();
        $this->constantKw = new Least;
        foreach ($limits->kw as $limit) {
            $this->add($limit);
        }
        $this->amps = $this->fewestAmps();
    }

    /** A constant limit that holds from now on. */
    public function add(KwLimit $limit): void
    {
        $this->isStale = true;
        $this->constantKw->offer($limit->kw, $limit->code, $limit->linkId);
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
        $stretch = $this->stretchAt($soc);
        $this->volts = $stretch->voltsAt($soc);
        $this->voltsPerPercent = $stretch->voltsPerPercent;
        $lines = $this->lines($stretch, $soc);
        $lowest = LimitLine::lowest($lines);
        $this->kw = $lowest->kw;
        $this->kwPerPercent = $lowest->kwPerPercent;
        $this->binding = $lowest->code;
        $this->linkId = $lowest->linkId;
        $this->untilSoc = min($stretch->toSoc, $soc + $lowest->lowestForPercent($lines));
        $this->soc = $soc;
        $this->isStale = false;
    }

    private function stretchAt(float $soc): Stretch
    {
        while ($soc >= $this->stretches[$this->at]->toSoc - self::SAME_SOC && isset($this->stretches[$this->at + 1])) {
            $this->at++;
        }

        return $this->stretches[$this->at];
    }

    /** @return non-empty-list<LimitLine> what the amps, the constant kW and the charge curve allow from here on */
    private function lines(Stretch $stretch, float $soc): array
    {
        $lines = [];
        if ($this->amps->isKnown()) {
            $kwPerV = $this->amps->value * $this->kwPerVA;
            $lines[] = new LimitLine($kwPerV * $this->volts, $kwPerV * $stretch->voltsPerPercent, $this->amps->code, $this->amps->linkId);
        }
        if ($this->constantKw->isKnown()) {
            $lines[] = new LimitLine($this->constantKw->value, 0.0, $this->constantKw->code, $this->constantKw->linkId);
        }
        if ($this->limits->curve !== null) {
            $lines[] = new LimitLine($stretch->curveKwAt($soc), $stretch->curveKwPerPercent, $this->limits->curve->code, $this->limits->curve->linkId);
        }

        return $lines !== [] ? $lines : throw new \LogicException('ask isKnown() first');
    }

    /** Amps at the plug (per phase, for AC) that carry so many kW at so many volts. */
    public function amps(float $kw, float $volts): float
    {
        return $kw / ($volts * $this->kwPerVA);
    }

    public function hasHeat(): bool
    {
        return $this->heat !== [];
    }

    /** Seconds until the boost of a link is spent at these amps, when that happens within the span; else the span. */
    public function secondsUntilSpent(float $amps, float $spanS): float
    {
        foreach ($this->heat as $state) {
            $spanS = $state->secondsUntilSpent($amps, $spanS);
        }

        return $spanS;
    }

    /** Lets every link take a current, given by the mean of its square (A²) and the amps at both ends, for so long. */
    public function warm(float $meanSquareA2, float $fromA, float $toA, float $seconds): void
    {
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

    private function fewestAmps(): Least
    {
        $this->isStale = true;
        $least = new Least;
        foreach ($this->limits->amps as $limit) {
            $state = $this->heat[$limit->linkId] ?? null;
            $least->offer(match (true) {
                $state === null => $limit->amps,
                $this->obeysHeat => $state->allowsA(),
                default => $state->link->duty->allowsA(0.0),
            }, $limit->code, $limit->linkId);
        }

        return $least;
    }
}
