<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;

/** The stand-in can't simulate this chain, or not with this fault. The path names the field of a case or a question. */
final class CannotActOut extends Refusal
{
    private function __construct(public readonly string $path, Message $problem)
    {
        parent::__construct($problem);
    }

    public function complaint(): Message
    {
        return Message::of('field.complaint', path: $this->path, problem: $this->problem);
    }

    public static function withoutKwh(): self
    {
        return new self('vehicle.pack.usable_kwh', Message::of('simulation.needs_kwh'));
    }

    public static function withoutVolts(): self
    {
        return new self('vehicle.pack.voltage_by_soc', Message::of('simulation.needs_volts'));
    }

    public static function withoutLimit(): self
    {
        return new self('outlet', Message::of('simulation.needs_limit'));
    }

    /** @param  Message  $why  it won't charge */
    public static function withoutCharging(Message $why): self
    {
        return new self('outlet', Message::of('simulation.wont_charge', why: $why));
    }

    public static function withoutPhase(Fault $fault, CurrentKind $current): self
    {
        return new self('fault', Message::of('simulation.no_such_phase', fault: $fault->message(), current: $current->message()));
    }

    public static function withoutCooling(): self
    {
        return new self('fault', Message::of('simulation.no_cooling'));
    }

    public static function withoutCabinet(): self
    {
        return new self('fault', Message::of('simulation.no_cabinet'));
    }

    public static function withEnoughForBoth(float $shareKw): self
    {
        return new self('fault', Message::of('simulation.enough_for_both', share: Amount::kw($shareKw)));
    }

    public static function withoutBoost(): self
    {
        return new self('fault', Message::of('simulation.no_boost'));
    }

    public static function atNoMinute(Fault $fault): self
    {
        return new self('fault', Message::of('simulation.no_minute', fault: $fault->message()));
    }

    /** @param  float  $firstMinute  when current first flows */
    public static function outsideSession(float $firstMinute, float $lastMinute): self
    {
        return new self('fault', Message::of('simulation.minute_outside', first: Amount::tenths($firstMinute), last: Amount::tenths($lastMinute)));
    }

    public static function withoutSettling(): self
    {
        return new self('settle_minutes', Message::of('simulation.no_settling'));
    }
}
