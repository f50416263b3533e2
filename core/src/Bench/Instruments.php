<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Record\Reading;

/** What reads a session, each in its own way. */
interface Instruments
{
    public function reading(Instant $now): Reading;

    /**
     * @param  float  $plugKwh  energy at the plug
     * @return float what the station's meter shows (kWh)
     */
    public function stationKwh(float $plugKwh): float;
}
