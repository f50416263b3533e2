<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Gate 1: does each piece go into the next? */
final class ShapeGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $connector = $chain->outlet->coupler;
        if ($connector->family->isHistoric()) {
            return GateResult::fail(GateName::Shape, Message::of('shape.historic', coupler: $connector->id));
        }
        foreach ($chain->adapters as $adapter) {
            if (! $adapter->input->takes($connector)) {
                return GateResult::fail(GateName::Shape, Message::of('shape.adapter_apart', connector: $connector->id, input: $adapter->input->id, adapter: $adapter->name));
            }
            $connector = $adapter->output;
        }
        $inlet = $chain->inlet->coupler;

        return match (true) {
            ! $inlet->takes($connector) => GateResult::fail(GateName::Shape, $connector->isSocket()
                ? Message::of('shape.needs_supply', connector: $connector->id, inlet: $inlet->id)
                : Message::of('shape.apart', connector: $connector->id, inlet: $inlet->id)),
            ! $inlet->is($connector) => GateResult::pass(GateName::Shape, Message::of('shape.upper_half', connector: $connector->id, inlet: $inlet->id)),
            $chain->adapters === [] => GateResult::pass(GateName::Shape, Message::of('shape.meets', connector: $connector->id, inlet: $inlet->id)),
            default => GateResult::pass(GateName::Shape, Message::of(
                'shape.meets_through', coupler: $chain->outlet->coupler->id, adapters: Listing::and($chain->adapterNames()), inlet: $inlet->id,
            )),
        };
    }
}
