<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Words\Message;

/** Which end of an adapter goes first, where its instructions say so. */
final class ConnectingOrder implements DrillRule
{
    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        $best = $garage->charging($draw);
        $adapter = $best->chain->adapters[0] ?? null;
        $order = $adapter?->handling->attachOrder;
        if ($best === null || $adapter === null || $order === null || count($best->chain->adapters) > 1) {
            return null;
        }
        $says = Message::of('drill.order_says', adapter: $adapter->name, order: $order->message());

        return new Drill(
            [Message::of('drill.at_through', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name, adapter: $adapter->name)],
            Message::of('drill.connecting_order'),
            [
                new Choice(AttachOrder::HandleFirst->value, Message::of('drill.order.handle-first'), $order === AttachOrder::HandleFirst, $says),
                new Choice(AttachOrder::CarFirst->value, Message::of('drill.order.car-first'), $order === AttachOrder::CarFirst, $says),
                new Choice('current-first', Message::of('drill.order.current-first'), false, Message::of('drill.never_under_current')),
            ],
            $best,
        );
    }
}
