<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;

/** The reason for an answer in about five words, for a row on a phone next to the car. */
final class ShortReason
{
    public static function of(ChainAnswer $answer): Message
    {
        $gate = $answer->deciding();

        return match (true) {
            $gate === null => self::ofPower($answer),
            $answer->outcome === Outcome::Unverified => Message::of('brief.check', fact: $gate->missing[0]->fact()),
            $answer->isRefusedByPolicy() => Message::of('brief.policy'),
            $answer->outcome !== Outcome::Hazard => self::failed($gate->gate),
            $gate->gate === GateName::Voltage => Message::of('brief.hazard_volts'),
            default => Message::of('brief.hazard_piece'),
        };
    }

    private static function ofPower(ChainAnswer $answer): Message
    {
        return match (true) {
            $answer->peak === null => Message::of('brief.no_limit'),
            $answer->outcome === Outcome::WontCharge => Message::of('brief.next_to_nothing', binding: $answer->peak->binding->label()),
            default => Message::of('brief.held', binding: $answer->peak->binding->label()),
        };
    }

    private static function failed(GateName $gate): Message
    {
        return match ($gate) {
            GateName::Shape => Message::of('brief.shape'),
            GateName::Current => Message::of('brief.current'),
            GateName::Signalling => Message::of('brief.signalling'),
            GateName::Voltage => Message::of('brief.voltage'),
            GateName::Access => Message::of('brief.access'),
            GateName::Adapter, GateName::Reach => Message::of('brief.adapter'),
        };
    }
}
