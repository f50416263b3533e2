<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Curve;

/** Works out the third of V, A, kW from the other two, or from the pack's curve, and says which it did. */
final readonly class ReadingCompleter
{
    /**
     * @param  Curve|null  $plugV  volts at the plug over state of charge; null when not known
     * @param  int  $phases  1 for DC
     */
    public function __construct(private ?Curve $plugV, private int $phases)
    {
    }

    public function complete(Reading $reading): CompletedReading
    {
        $v = $reading->volts;
        $a = $reading->amps;
        $kw = $reading->kw;

        return match (true) {
            $v !== null && $a !== null && $kw !== null => new CompletedReading($reading, $v, $a, $kw),
            $v !== null && $a !== null => new CompletedReading($reading, $v, $a, $this->kw($v, $a), kwFrom: Provenance::Derived),
            $v !== null && $kw !== null => new CompletedReading($reading, $v, $this->amps($kw, $v), $kw, ampsFrom: Provenance::Derived),
            $a !== null && $kw !== null => new CompletedReading($reading, $this->volts($kw, $a), $a, $kw, voltsFrom: Provenance::Derived),
            $v === null && $reading->socPct !== null && $this->plugV !== null => $this->estimate($reading, $this->plugV->at($reading->socPct)),
            default => new CompletedReading($reading, $v, $a, $kw),
        };
    }

    /** With only amps or only kW read, the pack's curve gives the volts; with neither, nothing is guessed. */
    private function estimate(Reading $reading, float $plugV): CompletedReading
    {
        $estimated = Provenance::Estimated;

        return match (true) {
            $reading->kw !== null => new CompletedReading($reading, $plugV, $this->amps($reading->kw, $plugV), $reading->kw, $estimated, $estimated),
            $reading->amps !== null => new CompletedReading($reading, $plugV, $reading->amps, $this->kw($plugV, $reading->amps), $estimated, kwFrom: $estimated),
            default => new CompletedReading($reading, null, null, null),
        };
    }

    private function kw(float $volts, float $amps): float
    {
        return $volts * $amps * $this->phases / 1000;
    }

    private function amps(float $kw, float $volts): ?float
    {
        return $volts > 0 ? $kw * 1000 / $volts / $this->phases : ($kw > 0 ? null : 0.0);
    }

    private function volts(float $kw, float $amps): ?float
    {
        return $amps > 0 ? $kw * 1000 / $amps / $this->phases : null;
    }
}
