<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Power\UnlimitedAdapter;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** The cautions that apply to one chain, those of its gates first. Handbooks outrank every one of them. */
final class Cautions
{
    /** @return list<Message> */
    public static function of(ChainAnswer $answer): array
    {
        $gates = array_filter($answer->gates(), static fn (GateResult $g): bool => $g->result() === Result::Caution);

        return [
            ...array_values(array_map(static fn (GateResult $g): Message => $g->reason(), $gates)),
            ...array_map(static fn (Caution $c): Message => $c->message, self::besideGates($answer)),
        ];
    }

    /** @return list<Caution> the same, each alone, with the place where it matters */
    public static function placed(ChainAnswer $answer): array
    {
        $placed = [];
        foreach ($answer->gates() as $gate) {
            foreach ($gate->cautions() as $message) {
                $placed[] = new Caution(self::placeOf($gate->gate, $message), $message);
            }
        }

        return [...$placed, ...self::besideGates($answer)];
    }

    private static function placeOf(GateName $gate, Message $message): CautionPlace
    {
        return match ($gate) {
            GateName::Reach => CautionPlace::Park,
            GateName::Access => CautionPlace::Access,
            GateName::Voltage => CautionPlace::Power,
            GateName::Adapter => str_starts_with($message->code, Gates\AdapterGate::MAY_NOT_HOLD) ? CautionPlace::Power : CautionPlace::Join,
            default => CautionPlace::Join,
        };
    }

    /** @return list<Caution> */
    private static function besideGates(ChainAnswer $answer): array
    {
        if (! $answer->outcome->mayFlow()) {
            return [];
        }
        $chain = $answer->chain;
        $cautions = [];
        $fault = $chain->outlet->site->faultInSentence();
        if ($fault !== null) {
            $cautions[] = new Caution(CautionPlace::Screen, Message::of('caution.known_fault', fault: $fault));
        }
        if ($chain->outlet->faultyStalls() !== []) {
            $cautions[] = new Caution(CautionPlace::Screen, self::faultyStalls($chain->outlet));
        }
        if ($answer->limits !== null && $answer->limits->unread !== []) {
            $cautions[] = new Caution(CautionPlace::Power, Message::of('caution.unread_power', facts: UnreadFact::facts($answer->limits->unread), check: UnreadFact::places($answer->limits->unread)));
        }
        if ($answer->policyToo() !== null) {
            $cautions[] = new Caution(CautionPlace::Join, Message::of('caution.policy_too', reason: $answer->policyToo()));
        }
        $share = $answer->openShare();
        if ($share !== null) {
            $cautions[] = new Caution(CautionPlace::Power, $share->caution());
        }
        if ($chain->outlet->fittings->cable?->isDryAbove() === true) {
            $cautions[] = new Caution(CautionPlace::Power, Message::of('caution.dry_above'));
        }
        $threePhasesKw = MorePhases::kw($answer);
        if ($threePhasesKw !== null) {
            $cautions[] = new Caution(CautionPlace::Power, Message::of('caution.more_phases', kw: Amount::kw($threePhasesKw)));
        }
        // Gate 6 tells it itself, unless it has something else to ask first.
        $holdBack = $answer->limits === null ? null : UnlimitedAdapter::of($chain, $answer->limits, $answer->conditions->charge->socFrom, $answer->voltage->endSoc($answer->conditions));
        if ($holdBack !== null && $answer->gate(GateName::Adapter)->isUnknown()) {
            $cautions[] = new Caution(CautionPlace::Power, Gates\AdapterGate::mayNotHold($holdBack));
        }
        foreach ($chain->adapters as $adapter) {
            $cautions[] = new Caution(CautionPlace::Order, self::order($adapter));
        }

        return [
            ...$cautions,
            new Caution(CautionPlace::Contacts, Message::of('caution.look')),
            $chain->current === CurrentKind::Dc
                ? new Caution(CautionPlace::Stop, Message::of('caution.stop_first'))
                : new Caution(CautionPlace::Join, Message::of('caution.electrician')),
        ];
    }

    private static function order(Adapter $adapter): Message
    {
        return match (true) {
            $adapter->isPortableSupply() => Message::of('caution.supply_order', adapter: $adapter->name),
            $adapter->isLooseCable() => Message::of('caution.cable_order', adapter: $adapter->name),
            $adapter->handling->attachOrder === AttachOrder::HandleFirst => Message::of('caution.handle_first', adapter: $adapter->name),
            $adapter->handling->attachOrder === AttachOrder::CarFirst => Message::of('caution.car_first', adapter: $adapter->name),
            default => Message::of('caution.order_unknown', adapter: $adapter->name),
        };
    }

    private static function faultyStalls(Outlet $outlet): Message
    {
        $faults = Listing::comma(array_map(static fn (Stall $s): Message => $s->message(), $outlet->faultyStalls()));

        return $outlet->isWhollyFaulty() ? Message::of('caution.every_stall', faults: $faults) : Message::of('caution.some_stalls', faults: $faults);
    }
}
