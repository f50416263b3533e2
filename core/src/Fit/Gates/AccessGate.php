<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Gate 5: may this car start a session here, and how? */
final class AccessGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $access = $situation->chain->outlet->access;

        return match ($access->kind) {
            AccessKind::Open => GateResult::pass(GateName::Access, Message::of('access.everyone')),
            AccessKind::Account => GateResult::caution(GateName::Access, Message::of('access.needs_account')),
            AccessKind::Makes, AccessKind::OwnersOnly => $this->named($situation),
            null => GateResult::unread(GateName::Access, [Unread::of(Fact::Access, $situation->chain)]),
        };
    }

    /** Who is nobody's customer, and where nobody is admitted, is refused whatever else may be read. */
    private function named(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $vehicle = $chain->vehicle;
        $makes = $chain->outlet->access->makes;
        $programmes = $vehicle->programmes;
        if ($makes === [] || $programmes === []) {
            return GateResult::fail(GateName::Access, $makes === null
                ? Message::of('access.reserved', vehicle: $vehicle->name)
                : self::notAdmitted($makes, $vehicle));
        }
        if ($makes === null) {
            return GateResult::unread(GateName::Access, [Unread::of(Fact::AdmittedMakes, $chain), ...($programmes === null ? [Unread::of(Fact::Programmes, $chain)] : [])]);
        }
        if ($programmes === null) {
            return GateResult::unread(GateName::Access, [Unread::of(Fact::Programmes, $chain)]);
        }
        $admitted = array_values(array_intersect($makes, $programmes));

        return $admitted === []
            ? GateResult::fail(GateName::Access, self::notAdmitted($makes, $vehicle))
            : GateResult::pass(GateName::Access, Message::of('access.admitted', vehicle: $vehicle->name, programme: $admitted[0]));
    }

    /** @param  list<string>  $makes */
    private static function notAdmitted(array $makes, Vehicle $vehicle): Message
    {
        return $makes === []
            ? Message::of('access.nobody')
            : Message::of('access.not_admitted', makes: Listing::comma($makes), vehicle: $vehicle->name);
    }
}
