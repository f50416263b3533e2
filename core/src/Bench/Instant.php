<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Power\BindingCode;

/** One instant of a simulated session, as it really is. */
final readonly class Instant
{
    /**
     * @param  float  $tS  seconds since plugging in
     * @param  float  $plugV  that the car's side of the plug needs (V)
     * @param  float  $stationV  at the station's output (V)
     * @param  float  $amps  per phase for AC
     * @param  array<string, float>  $theta  thermal load by link id
     * @param  float  $plugKwh  energy at the plug so far
     * @param  BindingCode|null  $binding  what limits the power; null while none flows
     */
    public function __construct(
        public float $tS,
        public Phase $phase,
        public float $soc,
        public float $plugV,
        public float $stationV,
        public float $amps,
        public float $kw,
        public array $theta,
        public float $plugKwh,
        public ?BindingCode $binding = null,
        public string $linkId = '',
    ) {
    }

    /** Volts that an instrument at the plug can read; null until the contactors connect the two sides. */
    public function readableV(): ?float
    {
        return $this->phase === Phase::Current ? $this->plugV : null;
    }
}
