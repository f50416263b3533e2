<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Power\LimitSet;

/** The cautions that apply to one chain, those of its gates first. Handbooks outrank every one of them. */
final class Cautions
{
    /**
     * @param  list<GateResult>  $gates
     * @return list<string>
     */
    public static function of(Chain $chain, array $gates, Outcome $outcome, ?LimitSet $limits): array
    {
        $cautions = [];
        foreach ($gates as $gate) {
            if ($gate->result === Result::Caution) {
                $cautions[] = $gate->reason;
            }
        }
        if (! $outcome->mayFlow()) {
            return $cautions;
        }
        if ($limits !== null && $limits->unread !== []) {
            $cautions[] = sprintf('Not read yet: %s. The kW shown is a ceiling.', implode(', ', $limits->unread));
        }
        foreach ($chain->adapters as $adapter) {
            $cautions[] = match ($adapter->attachOrder) {
                AttachOrder::HandleFirst => sprintf('%s: connector into the adapter first, then both into the car.', $adapter->name),
                AttachOrder::CarFirst => sprintf('%s: adapter into the car first, then the connector into it.', $adapter->name),
                null => sprintf('%s: order not known; by default the connector goes into the adapter first. Its own handbook decides.', $adapter->name),
            };
        }
        $cautions[] = 'Look for debris, water and discolouration in every piece before joining them.';
        $cautions[] = $chain->current() === CurrentKind::Dc
            ? 'Stop the session first and wait for the latch: never pull a handle under load.'
            : 'Fixed wiring and outlets are for a licensed electrician under the local code.';

        return $cautions;
    }
}
