<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Record\Reading;

/** Meters without errors of their own: they show what is. There is no thermometer among them. */
final readonly class ExactInstruments implements Instruments
{
    /** Decimals of what is shown. */
    private const DECIMALS = 2;

    private int $phases;

    public function __construct(Chain $chain)
    {
        $this->phases = $chain->phases();
    }

    public function reading(Instant $now): Reading
    {
        $volts = $now->readableV() === null ? null : round($now->readableV(), self::DECIMALS);
        $amps = round($now->output->amps, self::DECIMALS);

        // The power of what is shown, so that the three agree to the last digit.
        return new Reading((int) round(1000 * $now->tS), round($now->soc, self::DECIMALS), $volts, $amps, round(($volts ?? 0.0) * $amps * $this->phases / 1000, self::DECIMALS + 1), [], Script::SOURCE);
    }

    public function stationKwh(float $plugKwh): float
    {
        return $plugKwh;
    }
}
