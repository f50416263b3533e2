<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Time saved by switching off the cabin's heating or cooling. */
final readonly class CabinSaving
{
    /** Less isn't noticed (minutes). */
    private const LEAST_MINUTES = 0.1;

    /**
     * @param  float|null  $minutes  null where the charge only rises without it
     * @param  float|null  $plugKwh  likewise
     */
    public function __construct(public ?float $minutes, public ?float $plugKwh)
    {
    }

    /** @param  float  $cabinKwh  what the cabin takes in the session */
    public function message(float $cabinKwh, bool $isAbout): Message
    {
        $said = ['kwh' => Amount::kwh($cabinKwh), 'about' => $isAbout ? 'yes' : 'no'];

        return match (true) {
            $this->minutes === null || $this->plugKwh === null => Message::of('cabin.keeps_it_down'),
            $this->minutes < self::LEAST_MINUTES => Message::of('cabin.costs_energy', ...$said, saved: Amount::kwh($this->plugKwh)),
            default => Message::of('cabin.costs_time', ...$said, minutes: Amount::minutes($this->minutes), saved: Amount::kwh($this->plugKwh)),
        };
    }
}
