<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading;

/** What a person at the stall writes down, with a little noise: only what the script says that they read. */
final class PersonNotes implements Instruments
{
    /** Noise of a clip-on sensor (K). An assumption. */
    private const CELSIUS_NOISE_K = 0.3;

    private const AMPS_NOISE = 0.004;

    private const VOLTS_NOISE = 0.0008;

    private readonly Noise $noise;

    private readonly SurfaceHeat $surface;

    private readonly int $phases;

    public function __construct(Chain $chain, float $ambientC, private readonly Script $script)
    {
        $this->noise = new Noise($script->seed);
        $this->surface = new SurfaceHeat($chain, $ambientC, $script->quirks->wear);
        $this->phases = $chain->phases();
    }

    public function reading(Instant $now): Reading
    {
        $volts = $now->output->plugV * (1 + self::VOLTS_NOISE * $this->noise->wobble());
        $amps = $now->output->amps * (1 + self::AMPS_NOISE * $this->noise->wobble());
        $celsius = [];
        foreach (Point::cases() as $point) {
            if ($this->script->isRead($point->value)) {
                $celsius[$point->value] = round($this->surface->celsius($point, $now->theta) + self::CELSIUS_NOISE_K * $this->noise->wobble(), 1);
            }
        }

        return new Reading(
            (int) round(1000 * $now->tS),
            $this->script->isRead('soc') ? round($now->soc, 1) : null,
            $this->script->isRead('v') && $now->readableV() !== null ? round($volts, 1) : null,
            $this->script->isRead('a') ? round($amps, 1) : null,
            $this->script->isRead('kw') ? round($volts * $amps * $this->phases / 1000, 1) : null,
            $celsius,
            $this->script->source,
        );
    }

    public function stationKwh(float $plugKwh): float
    {
        return $plugKwh;
    }
}
