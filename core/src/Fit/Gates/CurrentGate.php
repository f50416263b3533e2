<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Message;

/** Gate 2: is it AC, or DC, all the way? */
final class CurrentGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $current = $chain->current;
        if (! $chain->outlet->coupler->family->carries($current)) {
            return GateResult::fail(GateName::Current, Message::of('current.no_contacts', coupler: $chain->outlet->coupler->name(), current: $current->message()));
        }
        $connector = $chain->outlet->coupler;
        foreach ($chain->adapters as $adapter) {
            // The AC half of a combined shape goes in, and there is no wire behind it.
            if (! $adapter->input->is($connector) && $adapter->input->takes($connector)) {
                return GateResult::fail(GateName::Current, Message::of('current.upper_half', connector: $connector->name(), adapter: $adapter->name));
            }
            $connector = $adapter->output;
            if ($adapter->passes->current !== null && $adapter->passes->current !== $current) {
                return GateResult::fail(GateName::Current, Message::of(
                    'current.adapter_differs', adapter: $adapter->name, wired: $adapter->passes->current->message(), current: $current->message(),
                ));
            }
        }
        if (! $chain->inlet->has($current)) {
            return GateResult::fail(GateName::Current, Message::of('current.inlet_lacks', vehicle: $chain->vehicle->name, current: $current->message()));
        }
        foreach ($chain->adapters as $adapter) {
            if ($adapter->passes->current === null) {
                return GateResult::unread(GateName::Current, [UnreadFact::ofAdapter(Fact::AdapterCurrent, $adapter, $chain)]);
            }
        }

        return GateResult::pass(GateName::Current, Message::of('current.all_along', current: $current->message()));
    }
}
