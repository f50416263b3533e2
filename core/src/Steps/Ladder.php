<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** What to try when nothing starts: the quick and cheap first, another place last. */
final class Ladder
{
    /**
     * @param  string|null  $stall  label of the stall where the driver stands; null when not known
     * @return list<Rung>
     */
    public static function of(ChainAnswer $answer, ?string $stall): array
    {
        $chain = $answer->chain;
        $isSocket = $chain->outlet->coupler->isSocket();

        return [
            new Rung(RungCode::ReadScreens, $isSocket ? Message::of('rung.read_lights') : Message::of('rung.read_screens')),
            new Rung(RungCode::JoinAgain, Message::of('rung.join_again')),
            ...($chain->adapters === [] || $isSocket ? [] : [new Rung(RungCode::AdapterApart, Message::of('rung.adapter_apart', adapter: $chain->adapters[0]->name))]),
            ...($isSocket ? [] : [new Rung(RungCode::StartAnotherWay, Message::of('rung.start_another_way')), self::anotherStall($chain->outlet, $stall)]),
            new Rung(RungCode::NextStop, Message::of('rung.next_stop_or_call', call: HelpCall::call($answer, $stall))),
        ];
    }

    private static function anotherStall(Outlet $outlet, ?string $stall): Rung
    {
        $stalls = $outlet->stallsApartFrom($stall);

        return $stalls === []
            ? new Rung(RungCode::AnotherStall, Message::of('rung.another_stall'))
            : new Rung(RungCode::AnotherStall, Message::of('rung.another_stall_of', stalls: Listing::comma(array_map(static fn (Stall $s): string => $s->label, $stalls))), $stalls);
    }
}
