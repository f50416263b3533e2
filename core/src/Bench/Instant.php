<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

/** One instant of a simulated session, as it really is. */
final readonly class Instant
{
    /**
     * @param  float  $tS  seconds since plugging in
     * @param  array<string, float>  $theta  thermal load by link id
     * @param  float  $plugKwh  energy at the plug so far
     */
    public function __construct(
        public float $tS,
        public Phase $phase,
        public float $soc,
        public Output $output,
        public array $theta,
        public float $plugKwh,
    ) {
    }

    /** Volts that an instrument at the plug can read; null until the contactors connect the two sides. */
    public function readableV(): ?float
    {
        return $this->phase === Phase::Current ? $this->output->plugV : null;
    }
}
