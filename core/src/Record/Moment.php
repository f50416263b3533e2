<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** Mean readings over a short interval of a session. Null: neither read nor derivable. */
final readonly class Moment
{
    /**
     * @param  float  $tS  mean time of its readings (s since plugging in)
     * @param  int  $readings  how many it is made of
     * @param  float|null  $soc  the last one read in it
     * @param  array<value-of<Point>, float>  $celsius  the hottest of each point
     * @param  bool  $isMeasured  volts and amps were both read, not worked out
     */
    public function __construct(
        public float $tS,
        public int $readings,
        public ?float $soc,
        public ?float $volts,
        public ?float $amps,
        public ?float $kw,
        public array $celsius,
        public bool $isMeasured,
    ) {
    }

    /** Energy between an earlier moment and this one (kWh): power is assumed linear, and zero where unknown. */
    public function kwhSince(?self $before): float
    {
        return $before === null ? 0.0 : (($before->kw ?? 0.0) + ($this->kw ?? 0.0)) / 2 * max(0.0, $this->tS - $before->tS) / 3600;
    }

    public function flows(): bool
    {
        return Measurements::isFlow($this->amps, $this->kw);
    }
}
