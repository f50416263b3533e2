<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;

/** Gate 2: is it AC, or DC, all along? */
final class CurrentGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $current = $chain->current();
        if (! $chain->outlet->coupler->family->carries($current)) {
            return GateResult::fail(GateName::Current, sprintf('A %s has no contacts for %s: the record of this outlet cannot be right.', $chain->outlet->coupler->id, $current->words()));
        }
        foreach ($chain->adapters as $adapter) {
            if ($adapter->current !== null && $adapter->current !== $current) {
                return GateResult::fail(GateName::Current, sprintf(
                    '%s is wired for %s only, and this outlet gives %s.', $adapter->name, $adapter->current->words(), $current->words(),
                ));
            }
        }
        if (! $chain->inlet->has($current)) {
            return GateResult::fail(GateName::Current, sprintf('This inlet of %s takes no %s.', $chain->vehicle->name, $current->words()));
        }
        foreach ($chain->adapters as $adapter) {
            if ($adapter->current === null) {
                return GateResult::unread(GateName::Current, [Unread::adapterCurrent($adapter)]);
            }
        }

        return GateResult::pass(GateName::Current, sprintf('%s all along.', $current->words()));
    }
}
