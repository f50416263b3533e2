<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Forecast\Integrator;

/** When each phase before the first current begins and ends; a little different each time, and as long as a forecast allows in all. */
final readonly class PhaseSchedule
{
    /** The station gives up when no current flows by then (s after plugging in). An assumption. */
    public const GIVES_UP_S = 180.0;

    /** A phase differs from its usual length by at most this share. An assumption. */
    private const SPREAD = 0.2;

    /** Tenths of a second are told. */
    private const DECIMALS = 1;

    /** @param  list<PhaseSpan>  $spans  at least one */
    private function __construct(public array $spans, public bool $reachesCurrent)
    {
    }

    public static function of(CurrentKind $current, ?Fault $fault, Noise $noise): self
    {
        $phases = Phase::before($current);
        $lengths = array_map(static fn (Phase $p): float => $p->usualS($current) * (1 + self::SPREAD * $noise->wobble()), $phases);
        $scale = Integrator::HANDSHAKE_S / array_sum($lengths);
        $spans = [];
        $atS = $sum = 0.0;
        foreach ($phases as $number => $phase) {
            $sum += $scale * $lengths[$number];
            $toS = $number === count($phases) - 1 ? Integrator::HANDSHAKE_S : round($sum, self::DECIMALS);
            if ($fault?->preventsStart() === true && $fault->phase() === $phase) {
                return new self([...$spans, new PhaseSpan($phase, $atS, self::GIVES_UP_S, isFailing: true)], false);
            }
            $spans[] = new PhaseSpan($phase, $atS, $toS);
            $atS = $toS;
        }

        return $fault === Fault::NoCurrent
            ? new self([...$spans, new PhaseSpan(Phase::Current, $atS, self::GIVES_UP_S, isFailing: true)], false)
            : new self($spans, true);
    }

    public function endS(): float
    {
        return $this->spans[count($this->spans) - 1]->toS;
    }

    /** The phase at a time; the last one when it is over. */
    public function at(float $tS): PhaseSpan
    {
        foreach ($this->spans as $span) {
            if ($tS < $span->toS) {
                return $span;
            }
        }

        return $this->spans[count($this->spans) - 1];
    }
}
