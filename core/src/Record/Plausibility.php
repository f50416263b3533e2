<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/** Compares each reading with those before it, and flags what can't be right. */
final class Plausibility
{
    /** How far V × A may differ from kW (share of the kW). */
    private const POWER_TOLERANCE = 0.03;

    /** A reading is impossible above this multiple of the weakest link's own maximum. */
    public const POSSIBLE_FACTOR = 1.2;

    private const COLDEST_C = -40.0;

    private const HOTTEST_C = 150.0;

    /** The most that volts under load may change (share) within JUMP_S (s), above LOADED_A (A). */
    private const VOLTS_JUMP = 0.15;

    private const JUMP_S = 60.0;

    private const LOADED_A = 5.0;

    /** Points of charge that rounding on a screen can add. */
    private const SOC_ROUNDING_POINTS = 2.0;

    /** Time of the previous reading (ms). */
    private ?int $lastMs = null;

    /** The last reading that had a charge. */
    private ?Reading $lastCharge = null;

    /** The last reading that had volts. */
    private ?CompletedReading $lastVolts = null;

    /** The most percent of charge that can be added in a second; INF when not known. */
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
    public function flags(CompletedReading $now): array
    {
        $reading = $now->reading;
        $flags = $this->alone($now);
        if ($this->lastMs !== null && $reading->tMs < $this->lastMs) {
            $flags[] = new Flag($reading->tMs, FlagCode::TimeReversed, Message::of('flag.time_reversed', seconds: Amount::asGiven(($this->lastMs - $reading->tMs) / 1000, Unit::Seconds)));
        }
        $this->lastMs = $reading->tMs;
        if ($reading->socPct !== null) {
            if ($this->lastCharge !== null) {
                $flags = [...$flags, ...$this->charge($this->lastCharge, $reading)];
            }
            $this->lastCharge = $reading;
        }
        if ($reading->volts !== null) {
            if ($this->lastVolts !== null) {
                $flags = [...$flags, ...self::volts($this->lastVolts, $now)];
            }
            $this->lastVolts = $now;
        }

        return $flags;
    }

    /** @return list<Flag> */
    private function alone(CompletedReading $now): array
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

    /** @return list<Flag> of a charge beside the one read before */
    private function charge(Reading $before, Reading $now): array
    {
        [$from, $to, $seconds] = [$before->socPct ?? 0.0, $now->socPct ?? 0.0, ($now->tMs - $before->tMs) / 1000];

        return match (true) {
            $to < $from => [new Flag($now->tMs, FlagCode::SocFell, Message::of('flag.soc_fell', from: Amount::asGiven($from, Unit::Percent), to: Amount::asGiven($to, Unit::Percent)), isOfCharge: true)],
            $to - $from > self::SOC_ROUNDING_POINTS + $this->pointsPerS * max(0.0, $seconds) => [new Flag($now->tMs, FlagCode::Jump, Message::of('flag.soc_jump', points: Amount::asGiven(round($to - $from, 2)), seconds: Amount::asGiven($seconds, Unit::Seconds)), isOfCharge: true)],
            default => [],
        };
    }

    /** @return list<Flag> of volts under load beside those read before */
    private static function volts(CompletedReading $before, CompletedReading $now): array
    {
        [$from, $to, $seconds] = [$before->reading->volts ?? 0.0, $now->reading->volts ?? 0.0, ($now->reading->tMs - $before->reading->tMs) / 1000];

        return $from > 0 && abs($to / $from - 1) > self::VOLTS_JUMP && abs($seconds) <= self::JUMP_S && min($now->amps ?? 0.0, $before->amps ?? 0.0) > self::LOADED_A
            ? [new Flag($now->reading->tMs, FlagCode::Jump, Message::of('flag.volts_jump', from: Amount::volts($from), to: Amount::volts($to)))]
            : [];
    }
}
