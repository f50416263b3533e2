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
            return GateResult::fail(GateName::Shape, Message::of('shape.historic', coupler: $connector->name()));
        }
        foreach ($chain->adapters as $adapter) {
            if (! $adapter->input->takes($connector)) {
                return GateResult::fail(GateName::Shape, Message::of('shape.adapter_apart', connector: $connector->name(), input: $adapter->input->name(), adapter: $adapter->name));
            }
            $connector = $adapter->output;
        }
        $inlet = $chain->inlet->coupler;

        return match (true) {
            ! $inlet->takes($connector) => GateResult::fail(GateName::Shape, $connector->isSocket()
                ? Message::of('shape.needs_supply', connector: $connector->name(), inlet: $inlet->name())
                : Message::of('shape.apart', connector: $connector->name(), inlet: $inlet->name())),
            ! $inlet->is($connector) => GateResult::pass(GateName::Shape, Message::of('shape.upper_half', connector: $connector->name(), inlet: $inlet->name())),
            $chain->adapters === [] => GateResult::pass(GateName::Shape, Message::of('shape.meets', connector: $connector->name(), inlet: $inlet->name())),
            default => GateResult::pass(GateName::Shape, Message::of(
                'shape.meets_through', coupler: $chain->outlet->coupler->name(), adapters: Listing::and($chain->adapterNames()), inlet: $inlet->name(),
            )),
        };
    }
}
