<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Power\BindingCode;

/** Finds from which charge on the next stop would give more power. Along a step the power is a straight line over the charge. */
final class NextStopWatch
{
    /** Null when the next stop never gives more, or is not known. */
    public ?float $goOnAtSoc = null;

    private ?Step $last = null;

    public function __construct(private readonly ?float $nextStopKw)
    {
    }

    public function add(Step $step): void
    {
        if ($this->nextStopKw !== null && $this->last !== null) {
            $this->watch($this->last, $this->nextStopKw, $step->soc);
        }
        $this->last = $step;
    }

    private function watch(Step $step, float $nextKw, float $endSoc): void
    {
        if ($step->binding === BindingCode::Handshake || $step->binding === BindingCode::Ramp) {
            return;
        }
        if ($step->flow->kw < $nextKw && $this->goOnAtSoc === null) {
            $this->goOnAtSoc = $step->soc;
        }
        if ($step->flow->endKw >= $nextKw) {
            $this->goOnAtSoc = null;
        } elseif ($step->flow->kw >= $nextKw) {
            $this->goOnAtSoc = $step->soc + ($step->flow->kw - $nextKw) / ($step->flow->kw - $step->flow->endKw) * ($endSoc - $step->soc);
        }
    }
}
