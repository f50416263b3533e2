<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Power\HoldBack;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** The cautions that apply to one chain, those of its gates first. Handbooks outrank every one of them. */
final class Cautions
{
    /** @return list<Message> */
    public static function of(ChainAnswer $answer): array
    {
        $chain = $answer->chain;
        $cautions = [];
        foreach ($answer->gates as $gate) {
            if ($gate->result() === Result::Caution) {
                $cautions[] = $gate->reason();
            }
        }
        if (! $answer->outcome->mayFlow()) {
            return $cautions;
        }
        if ($chain->outlet->knownFault !== null) {
            $cautions[] = Message::of('caution.known_fault', fault: rtrim($chain->outlet->knownFault, '.'));
        }
        if ($chain->outlet->faultyStalls() !== []) {
            $cautions[] = self::faultyStalls($chain->outlet);
        }
        if ($answer->limits !== null && $answer->limits->unread !== []) {
            $cautions[] = Message::of('caution.unread_power', facts: Unread::facts($answer->limits->unread), check: Unread::places($answer->limits->unread));
        }
        // Gate 6 tells it itself, unless it has something else to ask first.
        $holdBack = $answer->limits === null ? null : HoldBack::of($chain, $answer->limits, $answer->conditions->socFrom, $answer->voltage->endSoc($answer->conditions));
        if ($holdBack !== null && $answer->gate(GateName::Adapter)->isUnknown()) {
            $cautions[] = Gates\AdapterGate::mayNotHold($holdBack);
        }
        foreach ($chain->adapters as $adapter) {
            $cautions[] = match ($adapter->attachOrder) {
                AttachOrder::HandleFirst => Message::of('caution.handle_first', adapter: $adapter->name),
                AttachOrder::CarFirst => Message::of('caution.car_first', adapter: $adapter->name),
                null => Message::of('caution.order_unknown', adapter: $adapter->name),
            };
        }
        $cautions[] = Message::of('caution.look');
        $cautions[] = $chain->current === CurrentKind::Dc
            ? Message::of('caution.stop_first')
            : Message::of('caution.electrician');

        return $cautions;
    }

    private static function faultyStalls(Outlet $outlet): Message
    {
        $faults = Listing::comma(array_map(static fn (Stall $s): Message => $s->message(), $outlet->faultyStalls()));

        return $outlet->isWhollyFaulty() ? Message::of('caution.every_stall', faults: $faults) : Message::of('caution.some_stalls', faults: $faults);
    }
}
