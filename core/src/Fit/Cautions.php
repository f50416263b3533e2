<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Equipment\CurrentKind;

/** The cautions that apply to one chain, those of its gates first. Handbooks outrank every one of them. */
final class Cautions
{
    /** @return list<string> */
    public static function of(ChainAnswer $answer): array
    {
        $chain = $answer->chain;
        $cautions = [];
        foreach ($answer->gates as $gate) {
            if ($gate->result === Result::Caution) {
                $cautions[] = $gate->reason;
            }
        }
        if (! $answer->outcome->mayFlow()) {
            return $cautions;
        }
        if ($chain->outlet->knownFault !== null) {
            $cautions[] = sprintf('Known fault of this stall: %s.', rtrim($chain->outlet->knownFault, '.'));
        }
        if ($answer->limits !== null && $answer->limits->unread !== []) {
            $cautions[] = sprintf('Not read yet: %s. The kW shown is a ceiling. %s', Unread::facts($answer->limits->unread), Unread::places($answer->limits->unread));
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
