<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

/** The totals of a session. */
final readonly class ForecastTotals
{
    /**
     * @param  float|null  $minutes  from plugging in to the end; null when nothing flows or too little is known
     * @param  float  $plugKwh  what the meter counts
     * @param  float  $packKwh  what reaches the pack
     * @param  float  $cabinKwh  what heated or cooled the cabin: the plug's energy × efficiency is what reaches the pack and this
     * @param  array<string, float>  $minutesByBinding  by binding code; the handshake is in none
     */
    public function __construct(
        public ?float $minutes,
        public float $plugKwh,
        public float $packKwh,
        public float $peakKw,
        public float $socEnd,
        public array $minutesByBinding,
        public float $cabinKwh = 0.0,
    ) {
    }

    public static function none(float $soc): self
    {
        return new self(null, 0.0, 0.0, 0.0, $soc, []);
    }

    /** Mean power at the plug over all the minutes, the handshake included. */
    public function meanKw(): float
    {
        return $this->minutes === null || $this->minutes <= 0 ? 0.0 : $this->plugKwh / $this->minutes * 60;
    }

    /** @return array{string, float}|null the binding code that holds longest, and its minutes */
    public function longestBinding(): ?array
    {
        $minutes = $this->minutesByBinding;
        arsort($minutes);
        $code = array_key_first($minutes);

        return $code === null ? null : [$code, $minutes[$code]];
    }
}
