<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Words\Message;

/** What a chain will give between two states of charge. */
final readonly class Forecast
{
    /**
     * @param  float|null  $minutes  from plugging in to the end; null when nothing flows or too little is known
     * @param  float  $plugKwh  what the meter counts
     * @param  float  $packKwh  what reaches the pack
     * @param  array<string, float>  $minutesByBinding  by binding code; the handshake is in none
     * @param  Message|null  $cutShort  why it ends before the target; null when it does not
     * @param  list<HeatReport>  $heat
     * @param  list<Marginal>  $marginal
     * @param  list<Step>  $points  at most 30 s apart where the power changes; the last one is the end
     * @param  list<Unread>  $missing  without these there is no forecast
     * @param  float|null  $goOnAtSoc  from here on the next stop would be quicker; null when it never is, or is not known
     * @param  LimitSet|null  $car  what the vehicle alone would allow in these conditions
     * @param  list<Message>  $notes  what it rests on that a driver should know
     * @param  AdapterPassed|null  $passed  from when on an adapter would be passed that may not hold back; the minutes assume that it is obeyed
     */
    public function __construct(
        public ChainAnswer $answer,
        public ?float $minutes,
        public float $plugKwh,
        public float $packKwh,
        public float $peakKw,
        public float $socEnd,
        public array $minutesByBinding,
        public ?Message $cutShort,
        public array $heat,
        public array $marginal,
        public array $points,
        public array $missing = [],
        public ?float $goOnAtSoc = null,
        public ?LimitSet $car = null,
        public ?AdapterPassed $passed = null,
        public array $notes = [],
    ) {
    }

    /**
     * Nothing flows, or too little is known to tell.
     *
     * @param  list<Unread>  $missing
     */
    public static function none(ChainAnswer $answer, float $soc, Message $why, array $missing = []): self
    {
        return new self($answer, null, 0.0, 0.0, 0.0, $soc, [], $why, [], [], [], $missing);
    }

    public function isGiven(): bool
    {
        return $this->minutes !== null;
    }

    /** Mean power at the plug over all the minutes, the handshake included. */
    public function meanKw(): float
    {
        return $this->minutes === null || $this->minutes <= 0 ? 0.0 : $this->plugKwh / $this->minutes * 60;
    }

    /** Distance gained; null when the car's use is not known. */
    public function km(): ?float
    {
        $kmPerKwh = $this->answer->chain->vehicle->kmPerKwh;

        return $kmPerKwh === null ? null : $this->packKwh * $kmPerKwh;
    }

    /** Range per hour at so many kW at the plug: only what reaches the pack moves the car. */
    public function kmPerHour(float $kw): ?float
    {
        $kmPerKwh = $this->answer->chain->vehicle->kmPerKwh;

        return $kmPerKwh === null || $this->plugKwh <= 0 ? null : $kw * $this->packKwh / $this->plugKwh * $kmPerKwh;
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
