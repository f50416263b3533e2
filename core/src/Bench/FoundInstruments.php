<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Record\Reading;

/**
 * Instruments as one finds them: the car's screen shows whole percent and lags, a logger's current is off and drifts, the
 * station's screen shows whole kilowatts' tenths, a thermometer reads the surface to a kelvin, and the station's meter
 * counts what its cable loses. Every error here is an assumption about ordinary instruments.
 */
final class FoundInstruments implements Instruments
{
    /** The car's screen shows the charge of so long ago (s). */
    private const SCREEN_LAG_S = 8.0;

    /** The most that a logger's volts and amps are off from the start (share). */
    private const LOGGER_VOLTS = 0.002;

    private const LOGGER_AMPS = 0.006;

    /** The most that its amps drift in the hour in which it warms up (share). All of it together stays within the tolerance of a rating. */
    private const LOGGER_DRIFT = 0.002;

    private const WARMS_UP_S = 3600.0;

    /** Flicker of a single reading (share). */
    private const FLICKER = 0.002;

    private const THERMOMETER_K = 1.0;

    /** What a cable loses of the energy that the station's meter counts (share). */
    private const CABLE_LOSS = 0.012;

    private readonly SurfaceHeat $surface;

    private readonly Noise $noise;

    private readonly float $voltsOff;

    private readonly float $ampsOff;

    private readonly float $drift;

    /** @var list<array{float, float}> seconds and percent, the latest last */
    private array $charges = [];

    public function __construct(Chain $chain, float $ambientC, int $seed)
    {
        $this->surface = new SurfaceHeat($chain, $ambientC);
        $this->noise = new Noise($seed);
        $this->voltsOff = self::LOGGER_VOLTS * $this->noise->wobble();
        $this->ampsOff = self::LOGGER_AMPS * $this->noise->wobble();
        $this->drift = self::LOGGER_DRIFT * $this->noise->wobble();
    }

    public function reading(Instant $now): Reading
    {
        $celsius = [];
        foreach ($this->surface->points() as $point) {
            $celsius[$point->value] = round($this->surface->celsius($point, $now->theta) + self::THERMOMETER_K * $this->noise->wobble());
        }
        $flicker = 1 + self::FLICKER * $this->noise->wobble();
        $volts = $now->readableV() === null ? null : round($now->readableV() * (1 + $this->voltsOff), 1);

        return new Reading(
            (int) round(1000 * $now->tS),
            floor($this->shownSoc($now)),
            $volts,
            round($now->output->amps * (1 + $this->ampsOff + $this->drift * min(1.0, $now->tS / self::WARMS_UP_S)) * $flicker, 1),
            round($now->output->kw, 1),
            $celsius,
            Script::SOURCE,
        );
    }

    public function stationKwh(float $plugKwh): float
    {
        return $plugKwh / (1 - self::CABLE_LOSS);
    }

    /** As it was a few seconds ago, however seldom somebody looks. */
    private function shownSoc(Instant $now): float
    {
        $atS = $now->tS - self::SCREEN_LAG_S;
        $this->charges[] = [$now->tS, $now->soc];
        while (count($this->charges) > 1 && $this->charges[1][0] <= $atS) {
            array_shift($this->charges);
        }
        [[$fromS, $from], [$toS, $to]] = [$this->charges[0], $this->charges[1] ?? $this->charges[0]];

        return $atS <= $fromS || $toS <= $fromS ? $from : $from + ($to - $from) * ($atS - $fromS) / ($toS - $fromS);
    }
}
