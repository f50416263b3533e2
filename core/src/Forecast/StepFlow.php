<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** Volts, amps and power at the plug over one step; per phase for AC. */
final readonly class StepFlow
{
    /**
     * @param  float  $kw  when it begins
     * @param  float  $volts  when it begins
     * @param  float  $amps  when it begins
     * @param  float  $endKw  when it ends, before whatever ends it takes hold
     * @param  float  $endAmps  then
     * @param  float  $plugKwh  over the stretch
     */
    public function __construct(
        public float $kw,
        public float $volts,
        public float $amps,
        public float $endKw,
        public float $endAmps,
        public float $plugKwh,
    ) {
    }

    /** Before the first power. */
    public static function none(float $volts): self
    {
        return new self(0.0, $volts, 0.0, 0.0, 0.0, 0.0);
    }
}
