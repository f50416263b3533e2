<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Power\BindingCode;

/** One step of a forecast: how it begins, how long it lasts, and its energy. */
final readonly class Step
{
    /** @param  float  $tS  seconds since plugging in */
    public function __construct(
        public float $tS,
        public float $lengthS,
        public float $soc,
        public StepFlow $flow,
        public BindingCode $binding,
        public string $linkId,
        public StepHeat $heat,
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
        $flow = new StepFlow($this->flow->endKw, $endVolts, $this->flow->endAmps, $this->flow->endKw, $this->flow->endAmps, 0.0);

        return new self($this->tS + $this->lengthS - $instantS, $instantS, $endSoc, $flow, $this->binding, $this->linkId, $this->heat);
    }
}
