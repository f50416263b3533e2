<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;

/** Gate 5: may this car start a session here, and how? */
final class AccessGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $access = $situation->chain->outlet->access;

        return match ($access->kind) {
            AccessKind::Open => GateResult::pass(GateName::Access, 'Open to everyone: start as the stall says.'),
            AccessKind::Account => GateResult::caution(GateName::Access, 'Starts with an account: have the app or card set up before the visit.'),
            AccessKind::Makes => $this->named($situation),
            AccessKind::OwnersOnly => $this->ownersOnly($situation),
            null => GateResult::unread(GateName::Access, [Unread::access($situation->chain)]),
        };
    }

    private function ownersOnly(Situation $situation): GateResult
    {
        if ($situation->chain->outlet->access->makes === null && $situation->chain->vehicle->programmes === []) {
            return GateResult::fail(GateName::Access, 'Reserved for its owners, and this car belongs to no programme.');
        }

        return $this->named($situation);
    }

    private function named(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $vehicle = $chain->vehicle;
        $makes = $chain->outlet->access->makes;
        if ($makes === null) {
            return GateResult::unread(GateName::Access, [Unread::admittedMakes($chain)]);
        }
        if ($vehicle->programmes === null) {
            return GateResult::unread(GateName::Access, [Unread::programmes($chain)]);
        }
        $admitted = array_values(array_intersect($makes, $vehicle->programmes));

        return $admitted === []
            ? GateResult::fail(GateName::Access, sprintf('Only %s may charge here, and %s is not admitted.', implode(', ', $makes), $vehicle->name))
            : GateResult::pass(GateName::Access, sprintf('%s is admitted through %s: starts by certificate or in the network\'s app, once it is set up.', $vehicle->name, $admitted[0]));
    }
}
