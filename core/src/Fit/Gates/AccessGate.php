<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

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
            AccessKind::Makes => $this->named($situation, 'The makes this network admits are not known.', "The network's app lists the makes it admits."),
            AccessKind::OwnersOnly => $this->ownersOnly($situation),
            null => GateResult::unknown(GateName::Access, 'It is not known who may start a session here.', "A sign at the stall, or the place's page in the network's app."),
        };
    }

    private function ownersOnly(Situation $situation): GateResult
    {
        if ($situation->chain->outlet->access->makes === null && $situation->chain->vehicle->programmes === []) {
            return GateResult::fail(GateName::Access, 'Reserved for its owners, and this car belongs to no programme.');
        }

        return $this->named($situation, 'Reserved for its owners; who they are is not known.', 'A sign at the stall, or whoever runs the place.');
    }

    private function named(Situation $situation, string $listUnknown, string $where): GateResult
    {
        $vehicle = $situation->chain->vehicle;
        $makes = $situation->chain->outlet->access->makes;
        if ($makes === null) {
            return GateResult::unknown(GateName::Access, $listUnknown, $where);
        }
        if ($vehicle->programmes === null) {
            return GateResult::unknown(
                GateName::Access,
                sprintf('It is not known whether %s is admitted (%s).', $vehicle->name, implode(', ', $makes)),
                "The car maker's list of charging partners, or the network's app after adding the car.",
            );
        }
        $admitted = array_values(array_intersect($makes, $vehicle->programmes));

        return $admitted === []
            ? GateResult::fail(GateName::Access, sprintf('Only %s may charge here, and %s is not admitted.', implode(', ', $makes), $vehicle->name))
            : GateResult::pass(GateName::Access, sprintf('%s is admitted through %s: starts by certificate or in the network\'s app, once it is set up.', $vehicle->name, $admitted[0]));
    }
}
