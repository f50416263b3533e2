<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\Curve;

/** Every limit of a chain, kept by kind, over the volts at the plug. */
final readonly class LimitSet
{
    /**
     * @param  Curve  $plugV  volts at the plug over state of charge
     * @param  int  $phases  1 for DC
     * @param  list<AmpLimit>  $amps
     * @param  list<KwLimit>  $kw
     * @param  list<Unread>  $unread  figures that nobody has read: the sum is then a ceiling, not a forecast
     * @param  list<HeatLink>  $heat  the links among those of `amps` whose amps change with their heat load
     * @param  list<LaterLimit>  $later
     */
    public function __construct(
        public Curve $plugV,
        public int $phases,
        public array $amps,
        public array $kw,
        public ?CurveLimit $curve,
        public array $unread = [],
        public array $heat = [],
        public array $later = [],
    ) {
    }

    public function kwPerAmp(float $soc): float
    {
        return $this->plugV->at($soc) * $this->phases / 1000;
    }

    /** The smallest of all limits at a state of charge, at the starting heat loads; null when none is known. */
    public function kwAt(float $soc): ?float
    {
        $amps = $this->leastA();
        $kw = array_filter([$amps === null ? null : $amps * $this->kwPerAmp($soc), $this->leastKw(), $this->curve?->kw->at($soc)], static fn (?float $k): bool => $k !== null);

        return $kw === [] ? null : min($kw);
    }

    /** The fewest amps that any link allows; null when no amps are known. */
    public function leastA(): ?float
    {
        return $this->amps === [] ? null : min(array_map(static fn (AmpLimit $l): float => $l->amps, $this->amps));
    }

    /** The fewest constant kW that any link allows; null when none are known. */
    public function leastKw(): ?float
    {
        return $this->kw === [] ? null : min(array_map(static fn (KwLimit $l): float => $l->kw, $this->kw));
    }
}
