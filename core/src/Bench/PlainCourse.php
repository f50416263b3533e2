<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Forecast\Step;

/** A session without a fault, in outline: when it ends, its peak, its current over time. */
final readonly class PlainCourse
{
    /** @param  list<Step>  $steps */
    private function __construct(private array $steps, public float $endS, public float $peakKw)
    {
    }

    /** @param  iterable<Step>  $steps */
    public static function of(iterable $steps): self
    {
        $all = [];
        [$endS, $peakKw] = [0.0, 0.0];
        foreach ($steps as $step) {
            $all[] = $step;
            $endS = $step->tS + $step->lengthS;
            $peakKw = max($peakKw, $step->flow->kw, $step->lengthS > 0 ? $step->flow->endKw : 0.0);
        }

        return new self($all, $endS, $peakKw);
    }

    /** The current at a time (A; per phase for AC); 0 before and after. */
    public function ampsAt(float $tS): float
    {
        $step = $this->stepAt($tS);

        return $step === null ? 0.0 : $step->flow->amps + ($step->flow->endAmps - $step->flow->amps) * ($tS - $step->tS) / $step->lengthS;
    }

    /** The power at a time (kW); 0 before and after. */
    public function kwAt(float $tS): float
    {
        $step = $this->stepAt($tS);

        return $step === null ? 0.0 : $step->flow->kw + ($step->flow->endKw - $step->flow->kw) * ($tS - $step->tS) / $step->lengthS;
    }

    private function stepAt(float $tS): ?Step
    {
        foreach ($this->steps as $step) {
            if ($tS >= $step->tS && $tS < $step->tS + $step->lengthS) {
                return $step;
            }
        }

        return null;
    }
}
