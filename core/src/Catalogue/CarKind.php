<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** Typical values for cars with a battery of one class and size. */
final readonly class CarKind
{
    /**
     * @param  TypicalFigure  $peakPerKwh  kW at the plug for each usable kWh
     * @param  TypicalCurve  $shape  share of the peak over state of charge
     */
    public function __construct(public string $class, public string $size, public TypicalFigure $peakPerKwh, public TypicalCurve $shape)
    {
    }
}
