<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;

/** Gate 1: does each piece go into the next? */
final class ShapeGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $connector = $chain->outlet->coupler;
        if ($connector->family->isHistoric()) {
            return GateResult::fail(GateName::Shape, sprintf('%s is a historic shape that no car in use today takes.', $connector->id));
        }
        foreach ($chain->adapters as $adapter) {
            if (! $adapter->input->is($connector)) {
                return GateResult::fail(GateName::Shape, sprintf('%s does not go into the %s side of %s.', $connector->id, $adapter->input->id, $adapter->name));
            }
            $connector = $adapter->output;
        }
        $inlet = $chain->inlet->coupler;
        if (! $inlet->takes($connector)) {
            return GateResult::fail(GateName::Shape, $connector->isSocket()
                ? sprintf('A %s needs a portable supply between it and the %s inlet.', $connector->id, $inlet->id)
                : sprintf('A %s connector does not go into a %s inlet.', $connector->id, $inlet->id));
        }
        if (! $inlet->is($connector)) {
            return GateResult::pass(GateName::Shape, sprintf('%s goes into the upper half of the %s inlet.', $connector->id, $inlet->id));
        }

        return GateResult::pass(GateName::Shape, $chain->adapters === []
            ? sprintf('%s meets %s.', $connector->id, $inlet->id)
            : sprintf('%s, through %s, meets %s.', $chain->outlet->coupler->id, implode(' and ', array_map(static fn ($a): string => $a->name, $chain->adapters)), $inlet->id));
    }
}
