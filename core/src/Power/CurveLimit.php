<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Equipment\Curve;

/** A link that limits the power by state of charge (kW). */
final readonly class CurveLimit
{
    /**
     * @param  Curve  $kw  at the plug, what the car takes for itself included
     * @param  float  $drawKw  what the car takes for itself (kW at the plug)
     */
    public function __construct(public BindingCode $code, public string $linkId, public Curve $kw, public float $drawKw = 0.0)
    {
    }

    /** With a larger share of the charge curve than at the start; the car's own consumption stays. */
    public function kwAt(float $soc, float $gain = 1.0): float
    {
        return $gain * ($this->kw->at($soc) - $this->drawKw) + $this->drawKw;
    }
}
