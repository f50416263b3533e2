<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Amount;

/** Looks at each reading beside the one before it, and flags what cannot be right. */
final class Plausibility
{
    /** How far V × A may stand from kW (share of the kW). */
    private const POWER_TOLERANCE = 0.03;

    /** A reading is impossible above this multiple of the weakest link's own maximum. */
    private const POSSIBLE_FACTOR = 1.2;

    private const COLDEST_C = -40.0;

    private const HOTTEST_C = 150.0;

    /** Volts under load do not move by more than this share within a minute. */
    private const VOLTS_JUMP = 0.15;

    /** Points of charge that rounding on a screen can add. */
    private const SOC_ROUNDING_POINTS = 2.0;

    private ?Completed $before = null;

    /**
     * @param  float|null  $possibleKw  the most the weakest link can ever pass; null when not known
     */
    public function __construct(
        private readonly ?float $possibleKw,
        private readonly ?float $usableKwh,
        private readonly int $phases,
    ) {
    }

    /** @return list<Flag> */
    public function flags(Completed $now): array
    {
        $flags = [...$this->alone($now), ...($this->before === null ? [] : $this->beside($this->before, $now))];
        $this->before = $now;

        return $flags;
    }

    /** @return list<Flag> */
    private function alone(Completed $now): array
    {
        $reading = $now->reading;
        $flags = [];
        if ($reading->volts !== null && $reading->amps !== null && $reading->kw !== null) {
            $product = $reading->volts * $reading->amps * $this->phases / 1000;
            if (abs($product - $reading->kw) > self::POWER_TOLERANCE * max($reading->kw, 1.0)) {
                $flags[] = new Flag($reading->tMs, FlagCode::PowerMismatch, sprintf('V × A gives %s, the reading says %s.', Amount::kw($product), Amount::kw($reading->kw)));
            }
        }
        if ($this->possibleKw !== null && $now->kw !== null && $now->kw->value > self::POSSIBLE_FACTOR * $this->possibleKw) {
            $flags[] = new Flag($reading->tMs, FlagCode::AbovePossible, sprintf('%s is more than this chain can pass (%s).', Amount::kw($now->kw->value), Amount::kw($this->possibleKw)));
        }
        foreach ($reading->celsius as $point => $celsius) {
            if ($celsius < self::COLDEST_C || $celsius > self::HOTTEST_C) {
                $flags[] = new Flag($reading->tMs, FlagCode::TemperatureRange, sprintf('%s at %s: is the unit right?', ucfirst($point), Amount::celsius($celsius)));
            }
        }

        return $flags;
    }

    /** @return list<Flag> */
    private function beside(Completed $before, Completed $now): array
    {
        $reading = $now->reading;
        $seconds = ($reading->tMs - $before->reading->tMs) / 1000;
        if ($seconds < 0) {
            return [new Flag($reading->tMs, FlagCode::TimeReversed, sprintf('The time goes back by %g s.', -$seconds))];
        }
        $flags = [];
        if ($reading->socPct !== null && $before->reading->socPct !== null) {
            $gained = $reading->socPct - $before->reading->socPct;
            if ($gained < 0) {
                $flags[] = new Flag($reading->tMs, FlagCode::SocFell, sprintf('The charge falls from %g %% to %g %%.', $before->reading->socPct, $reading->socPct));
            } elseif ($gained > $this->mostPointsIn($seconds)) {
                $flags[] = new Flag($reading->tMs, FlagCode::Jump, sprintf('The charge rises by %g points in %g s.', round($gained, 2), $seconds));
            }
        }
        $flow = min($now->amps->value ?? 0.0, $before->amps->value ?? 0.0);
        if ($flow > 5 && $seconds <= 60 && $reading->volts !== null && $before->reading->volts !== null && $before->reading->volts > 0
            && abs($reading->volts / $before->reading->volts - 1) > self::VOLTS_JUMP) {
            $flags[] = new Flag($reading->tMs, FlagCode::Jump, sprintf('Volts under load jump from %s to %s.', Amount::volts($before->reading->volts), Amount::volts($reading->volts)));
        }

        return $flags;
    }

    private function mostPointsIn(float $seconds): float
    {
        return $this->possibleKw === null || $this->usableKwh === null
            ? INF
            : self::SOC_ROUNDING_POINTS + self::POSSIBLE_FACTOR * $this->possibleKw * $seconds / 3600 / $this->usableKwh * 100;
    }
}
