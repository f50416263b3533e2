<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

/** What is usual for cars with a pack of one class and size. */
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
