<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Words\Message;

/** What a chain will give between two states of charge. */
final readonly class Forecast
{
    /**
     * @param  Message|null  $cutShort  why it ends before the target; null when it does not
     * @param  list<UnreadFact>  $missing  without these there is no forecast
     * @param  LimitSet|null  $car  what the vehicle alone would allow in these conditions
     */
    public function __construct(
        public ChainAnswer $answer,
        public ForecastTotals $totals,
        public ?Message $cutShort,
        public ForecastCourse $course = new ForecastCourse,
        public array $missing = [],
        public ?LimitSet $car = null,
        public ForecastAdvice $advice = new ForecastAdvice,
    ) {
    }

    /**
     * Nothing flows, or too little is known to tell.
     *
     * @param  list<UnreadFact>  $missing
     */
    public static function none(ChainAnswer $answer, float $soc, Message $why, array $missing = []): self
    {
        return new self($answer, ForecastTotals::none($soc), $why, missing: $missing);
    }

    public function isGiven(): bool
    {
        return $this->totals->minutes !== null;
    }

    /** Distance gained; null when the car's use is not known. */
    public function km(): ?float
    {
        $kmPerKwh = $this->answer->chain->vehicle->kmPerKwh;

        return $kmPerKwh === null ? null : $this->totals->packKwh * $kmPerKwh;
    }

    /** Range per hour at so many kW at the plug, counting only what reaches the battery. */
    public function kmPerHour(float $kw): ?float
    {
        $kmPerKwh = $this->answer->chain->vehicle->kmPerKwh;

        return $kmPerKwh === null || $this->totals->plugKwh <= 0 ? null : $kw * $this->totals->packKwh / $this->totals->plugKwh * $kmPerKwh;
    }
}
