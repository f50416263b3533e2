<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Power\BindingCode;

/** What is at the plug at one instant. */
final readonly class Output
{
    /**
     * @param  float  $plugV  that the car's side of the plug needs (V)
     * @param  float  $stationV  at the station's output (V)
     * @param  float  $amps  per phase for AC
     * @param  BindingCode|null  $binding  what limits the power; null while none flows
     */
    public function __construct(public float $plugV, public float $stationV, public float $amps = 0.0, public float $kw = 0.0, public ?BindingCode $binding = null, public string $linkId = '')
    {
    }
}
