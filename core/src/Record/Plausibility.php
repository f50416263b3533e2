<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/** Looks at each reading beside the one before it, and flags what cannot be right. */
final class Plausibility
{
    /** How far V × A may stand from kW (share of the kW). */
    private const POWER_TOLERANCE = 0.03;

    /** A reading is impossible above this multiple of the weakest link's own maximum. */
    private const POSSIBLE_FACTOR = 1.2;

    private const COLDEST_C = -40.0;

    private const HOTTEST_C = 150.0;

    /** Volts under load do not move by more than this share within so long (s); under load is above so many amps. */
    private const VOLTS_JUMP = 0.15;

    private const JUMP_S = 60.0;

    private const LOADED_A = 5.0;

    /** Points of charge that rounding on a screen can add. */
    private const SOC_ROUNDING_POINTS = 2.0;

    private ?Completed $before = null;

    /** Points of charge that a second can bring at the most; INF when not known. */
    private readonly float $pointsPerS;

    /**
     * @param  float|null  $possibleKw  the most the weakest link can ever pass; null when not known
     */
    public function __construct(
        private readonly ?float $possibleKw,
        ?float $usableKwh,
        private readonly int $phases,
    ) {
        $this->pointsPerS = $possibleKw === null || $usableKwh === null ? INF : self::POSSIBLE_FACTOR * $possibleKw / 3600 / $usableKwh * 100;
    }

    /** @return list<Flag> */
    public function flags(Completed $now): array
    {
        $flags = $this->alone($now);
        $beside = $this->before === null ? [] : $this->beside($this->before, $now);
        $this->before = $now;

        return $beside === [] ? $flags : [...$flags, ...$beside];
    }

    /** @return list<Flag> */
    private function alone(Completed $now): array
    {
        $reading = $now->reading;
        $flags = [];
        if ($reading->volts !== null && $reading->amps !== null && $reading->kw !== null) {
            $product = $reading->volts * $reading->amps * $this->phases / 1000;
            if (abs($product - $reading->kw) > self::POWER_TOLERANCE * max($reading->kw, 1.0)) {
                $flags[] = new Flag($reading->tMs, FlagCode::PowerMismatch, Message::of('flag.power_mismatch', product: Amount::kw($product), read: Amount::kw($reading->kw)));
            }
        }
        if ($this->possibleKw !== null && $now->kw !== null && $now->kw > self::POSSIBLE_FACTOR * $this->possibleKw) {
            $flags[] = new Flag($reading->tMs, FlagCode::AbovePossible, Message::of('flag.above_possible', read: Amount::kw($now->kw), possible: Amount::kw($this->possibleKw)));
        }
        foreach ($reading->celsius as $point => $celsius) {
            if ($celsius < self::COLDEST_C || $celsius > self::HOTTEST_C) {
                $flags[] = new Flag($reading->tMs, FlagCode::TemperatureRange, Message::of('flag.temperature_range', point: Point::from($point)->message(), celsius: Amount::celsius($celsius)));
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
            return [new Flag($reading->tMs, FlagCode::TimeReversed, Message::of('flag.time_reversed', seconds: Amount::asGiven(-$seconds, Unit::Seconds)))];
        }
        $flags = [];
        if ($reading->socPct !== null && $before->reading->socPct !== null) {
            $gained = $reading->socPct - $before->reading->socPct;
            if ($gained < 0) {
                $flags[] = new Flag($reading->tMs, FlagCode::SocFell, Message::of('flag.soc_fell', from: Amount::asGiven($before->reading->socPct, Unit::Percent), to: Amount::asGiven($reading->socPct, Unit::Percent)));
            } elseif ($gained > self::SOC_ROUNDING_POINTS + $this->pointsPerS * $seconds) {
                $flags[] = new Flag($reading->tMs, FlagCode::Jump, Message::of('flag.soc_jump', points: Amount::asGiven(round($gained, 2)), seconds: Amount::asGiven($seconds, Unit::Seconds)));
            }
        }
        if ($reading->volts !== null && $before->reading->volts !== null && $before->reading->volts > 0
            && abs($reading->volts / $before->reading->volts - 1) > self::VOLTS_JUMP
            && $seconds <= self::JUMP_S && min($now->amps ?? 0.0, $before->amps ?? 0.0) > self::LOADED_A) {
            $flags[] = new Flag($reading->tMs, FlagCode::Jump, Message::of('flag.volts_jump', from: Amount::volts($before->reading->volts), to: Amount::volts($reading->volts)));
        }

        return $flags;
    }
}
