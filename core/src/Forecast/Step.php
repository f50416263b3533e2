<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Power\BindingCode;

/** One stretch of a forecast: how it begins, how long it lasts, and its energy. */
final readonly class Step
{
    /**
     * @param  float  $tS  seconds since plugging in
     * @param  float  $kw  at the plug, when it begins
     * @param  float  $endKw  at the plug, when it ends, before whatever ends it takes hold
     * @param  float  $endAmps  at the plug (per phase, for AC), then
     * @param  float  $plugKwh  through the plug, over the stretch
     * @param  float  $volts  at the plug (per phase, for AC), when it begins
     * @param  float  $amps  at the plug (per phase, for AC), when it begins
     * @param  array<string, float>  $theta  heat load by link id, when it begins
     * @param  array<string, true>  $spent  links whose boost is spent by then, by id
     * @param  float|null  $packC  temperature of a pack that started cold, when it begins
     */
    public function __construct(
        public float $tS,
        public float $lengthS,
        public float $soc,
        public float $kw,
        public float $endKw,
        public float $endAmps,
        public float $plugKwh,
        public float $volts,
        public float $amps,
        public BindingCode $binding,
        public string $linkId,
        public array $theta,
        public array $spent,
        public ?float $packC = null,
    ) {
    }

    /**
     * An instant before its end, for a curve that falls there. Straight lines between its ends are close enough for an
     * instant.
     *
     * @param  float  $endSoc  where the next step begins
     * @param  float  $endVolts  of the next step
     */
    public function justBeforeEnd(float $endSoc, float $endVolts, float $instantS): self
    {
        return new self($this->tS + $this->lengthS - $instantS, $instantS, $endSoc, $this->endKw, $this->endKw, $this->endAmps, 0.0, $endVolts, $this->endAmps, $this->binding, $this->linkId, $this->theta, $this->spent, $this->packC);
    }
}
