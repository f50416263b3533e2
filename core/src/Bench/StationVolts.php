<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Equipment\CurrentKind;

/** The volts at the station's output before and after the current: the insulation test, then the pre-charge to the battery's voltage. */
final readonly class StationVolts
{
    /** A station has to come this close to the battery's voltage before the contactors close (V). IEC 61851-23. */
    public const WITHIN_V = 20.0;

    /** How far a failing pre-charge stays off at most, and at least (V). Assumptions. */
    private const OFF_LEAST_V = self::WITHIN_V + 10.0;

    private const OFF_MOST_V = 70.0;

    /** A good pre-charge ends this far below the battery at most (V). An assumption. */
    private const CLOSE_V = 8.0;

    /** The insulation test and the pre-charge rise in this share of their phase. Assumptions. */
    private const RISE_SHARE = 0.5;

    /** The output's capacitors have emptied this long after the contactors open (s). An assumption. */
    private const EMPTY_S = 2.0;

    private float $offV;

    public function __construct(private PhaseSchedule $schedule, private CurrentKind $current, private ?Fault $fault, Noise $noise)
    {
        $share = abs($noise->wobble());
        $this->offV = $fault === Fault::Precharge ? self::OFF_LEAST_V + $share * (self::OFF_MOST_V - self::OFF_LEAST_V) : -$share * self::CLOSE_V;
    }

    /** At a time before the current. */
    public function before(float $tS, float $plugV): float
    {
        $span = $this->schedule->at($tS);
        $past = min(1.0, ($tS - $span->fromS) / max(1.0, min($span->toS - $span->fromS, $span->phase->usualS($this->current))));

        return match (true) {
            $span->phase === Phase::Current => $plugV,
            $this->current === CurrentKind::Ac => $span->phase === Phase::Contactors && $past > self::RISE_SHARE && ! $span->isFailing ? $plugV : 0.0,
            $span->phase === Phase::Isolation => $span->isFailing && $past >= 1.0 ? 0.0 : $plugV * min(1.0, $past / self::RISE_SHARE, 2 * (1 - $past) / self::RISE_SHARE),
            $span->phase === Phase::Precharge => ($plugV + $this->offV) * min(1.0, $past / self::RISE_SHARE),
            $span->phase === Phase::Contactors => $this->fault === Fault::Contactor ? $plugV + $this->offV : $plugV,
            default => 0.0,
        };
    }

    /** At a time after the current. */
    public function after(PhaseSpan $span, float $tS, float $plugV): float
    {
        return $this->current === CurrentKind::Dc && $span->phase === Phase::Stop ? $plugV * max(0.0, 1 - ($tS - $span->fromS) / self::EMPTY_S) : 0.0;
    }
}
