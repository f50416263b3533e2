<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * From here on the rest of the chain would carry more than the rating of an adapter that isn't known to limit the
 * current itself. The forecast's minutes assume that the driver then stops or lowers the car's limit.
 */
final readonly class AdapterPassed
{
    /**
     * @param  float  $minute  since plugging in
     * @param  float  $soc  percent, then
     * @param  float  $allowedA  what the adapter allows then (per phase, for AC)
     * @param  float  $wouldCarryA  what the rest of the chain would carry then
     * @param  bool  $isAtOnce  with the first power
     */
    public function __construct(
        public Adapter $adapter,
        public float $minute,
        public float $soc,
        public float $allowedA,
        public float $wouldCarryA,
        public bool $isAtOnce,
    ) {
    }

    public function message(): Message
    {
        [$adapter, $allowed, $would] = [$this->adapter->name, Amount::amps($this->allowedA), Amount::amps($this->wouldCarryA)];

        return $this->isAtOnce
            ? Message::of('adapter_passed.at_once', adapter: $adapter, allowed: $allowed, would: $would)
            : Message::of('adapter_passed.from', adapter: $adapter, minute: Amount::asGiven(round($this->minute, 1)), soc: Amount::percent($this->soc), allowed: $allowed, would: $would);
    }
}
