<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\Curve;

/** Every limit of a chain, kept by kind, over the volts at the plug. */
final readonly class LimitSet
{
    /** A chain that gives less does not flow (kW at the plug). */
    public const LEAST_KW = 0.5;

    /**
     * @param  Curve  $plugV  volts at the plug over state of charge
     * @param  int  $phases  1 for DC
     * @param  list<AmpLimit>  $amps
     * @param  list<KwLimit>  $kw
     * @param  list<UnreadFact>  $unread  figures that nobody has read: the sum is then a ceiling, not a forecast
     * @param  ChangingLimits  $changing  its heat links are among those of `amps`; `curve` is what a cold pack leaves at first
     * @param  float  $drawKw  what the car takes for itself (kW at the plug): the rest reaches the pack
     */
    public function __construct(
        public Curve $plugV,
        public int $phases,
        public array $amps,
        public array $kw,
        public ?CurveLimit $curve,
        public array $unread = [],
        public ChangingLimits $changing = new ChangingLimits,
        public float $drawKw = 0.0,
    ) {
    }

    /** Whether any limit at all is known. */
    public function isKnown(): bool
    {
        return $this->amps !== [] || $this->kw !== [] || $this->curve !== null;
    }

    public function kwPerAmp(float $soc): float
    {
        return $this->plugV->at($soc) * $this->phases / 1000;
    }

    /** The smallest of all limits at a state of charge, at the starting heat loads; null when none is known. */
    public function kwAt(float $soc): ?float
    {
        $amps = $this->leastA();
        $kw = min($amps === null ? INF : $amps * $this->kwPerAmp($soc), $this->leastKw() ?? INF, $this->curve?->kw->at($soc) ?? INF);

        return $kw < INF ? $kw : null;
    }

    /**
     * The smallest of all limits at a state of charge, some minutes into a session; null when none is known.
     *
     * @param  array<string, true>  $spent  links whose boost is spent by then, by id
     * @param  float|null  $packC  temperature of the pack by then, where it started cold
     */
    public function kwThen(float $soc, array $spent, float $minute, ?float $packC = null): ?float
    {
        $amps = array_column($this->amps, 'amps', 'linkId');
        foreach ($this->changing->heat as $link) {
            $amps[$link->linkId] = $link->duty->allowsA(isset($spent[$link->linkId]) ? 1.0 : 0.0);
        }
        foreach ($this->changing->laterAmps as $later) {
            $amps[$later->limit->linkId] = min($amps[$later->limit->linkId] ?? INF, $later->fromMinute <= $minute ? $later->limit->amps : INF);
        }
        $later = array_filter($this->changing->later, static fn (LaterLimit $l): bool => $l->fromMinute <= $minute);
        $constant = [...$this->kw, ...array_map(static fn (LaterLimit $l): KwLimit => $l->limit, array_values($later))];
        $gain = $packC === null ? 1.0 : $this->changing->warmth?->gain($packC) ?? 1.0;
        $kw = min(
            $amps === [] ? INF : min($amps) * $this->kwPerAmp($soc),
            $this->curve?->kwAt($soc, $gain) ?? INF,
            INF,
            ...array_map(static fn (KwLimit $l): float => $l->untilMinute > $minute ? $l->kw : INF, $constant),
        );

        return $kw < INF ? $kw : null;
    }

    /** The same with a limit that begins some minutes in. */
    public function later(LaterLimit|LaterAmps $limit): self
    {
        $now = $this->changing;
        $changing = $limit instanceof LaterLimit
            ? new ChangingLimits($now->heat, [...$now->later, $limit], $now->warmth, $now->laterAmps)
            : new ChangingLimits($now->heat, $now->later, $now->warmth, [...$now->laterAmps, $limit]);

        return new self($this->plugV, $this->phases, $this->amps, $this->kw, $this->curve, $this->unread, $changing, $this->drawKw);
    }

    /** The same without the limits of one link. */
    public function without(string $linkId): self
    {
        return $this->where(static fn (string $id): bool => $id !== $linkId);
    }

    /** The limits of one link alone. */
    public function only(string $linkId): self
    {
        return $this->where(static fn (string $id): bool => $id === $linkId);
    }

    /** @param  \Closure(string): bool  $isKept  asked for a link's id */
    private function where(\Closure $isKept): self
    {
        $kept = static fn (AmpLimit|KwLimit|HeatLink|CurveLimit $limit): bool => $isKept($limit->linkId);

        return new self(
            $this->plugV,
            $this->phases,
            array_values(array_filter($this->amps, $kept)),
            array_values(array_filter($this->kw, $kept)),
            $this->curve !== null && $kept($this->curve) ? $this->curve : null,
            $this->unread,
            new ChangingLimits(
                array_values(array_filter($this->changing->heat, $kept)),
                array_values(array_filter($this->changing->later, static fn (LaterLimit $l): bool => $kept($l->limit))),
                $this->changing->warmth,
                array_values(array_filter($this->changing->laterAmps, static fn (LaterAmps $l): bool => $kept($l->limit))),
            ),
            $this->drawKw,
        );
    }

    /** The most amps at the plug (per phase, for AC) over a span of charge, at the starting heat loads; null when no limit is known. */
    public function mostA(float $fromSoc, float $toSoc): ?float
    {
        if (! $this->isKnown()) {
            return null;
        }
        [$leastA, $leastKw, $most] = [$this->leastA() ?? INF, $this->leastKw() ?? INF, 0.0];
        foreach (CurveSegment::between($this, $fromSoc, $toSoc) as $segment) {
            foreach ($segment->turns($leastKw) as $soc) {
                $kw = min($leastKw, $segment->curveKwAt($soc));
                $most = max($most, min($leastA, $kw / ($segment->voltsAt($soc) * $this->phases / 1000)));
            }
        }

        return $most;
    }

    /** The fewest amps that any link allows; null when no amps are known. */
    public function leastA(): ?float
    {
        $least = null;
        foreach ($this->amps as $limit) {
            if ($least === null || $limit->amps < $least) {
                $least = $limit->amps;
            }
        }

        return $least;
    }

    /** The fewest constant kW that any link allows; null when none are known. */
    public function leastKw(): ?float
    {
        $least = null;
        foreach ($this->kw as $limit) {
            if ($least === null || $limit->kw < $least) {
                $least = $limit->kw;
            }
        }

        return $least;
    }
}
