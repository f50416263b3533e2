<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Equipment\NetworkSetUp;
use Harmozon\Core\Equipment\SetUpState;
use Harmozon\Core\Equipment\SetUpStep;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Gate 5: may this car start a session here, and how? What went wrong here before is a caution. */
final class AccessGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $remembered = $situation->conditions->remembered[$situation->chain->outlet->id] ?? null;
        $result = $this->admission($situation);

        return $remembered === null ? $result : $result->minding($remembered->trouble);
    }

    private function admission(Situation $situation): GateResult
    {
        $access = $situation->chain->outlet->site->access;

        return match ($access->kind) {
            AccessKind::Open => GateResult::pass(GateName::Access, Message::of('access.everyone')),
            AccessKind::Account => $this->account($situation),
            AccessKind::Makes, AccessKind::OwnersOnly => $this->named($situation),
            null => GateResult::unread(GateName::Access, [UnreadFact::of(Fact::Access, $situation->chain)]),
        };
    }

    /** A car that isn't on a network's list is refused, whatever else is not known. */
    private function named(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $vehicle = $chain->vehicle;
        $makes = $chain->outlet->site->access->makes;
        $programmes = $vehicle->programmes;
        if ($makes === [] || $programmes === []) {
            return GateResult::fail(GateName::Access, $makes === null
                ? Message::of('access.reserved', vehicle: $vehicle->name)
                : self::notAdmitted($makes, $vehicle));
        }
        if ($makes === null) {
            return GateResult::unread(GateName::Access, [UnreadFact::of(Fact::AdmittedMakes, $chain), ...($programmes === null ? [UnreadFact::of(Fact::Programmes, $chain)] : [])]);
        }
        if ($programmes === null) {
            return GateResult::unread(GateName::Access, [UnreadFact::of(Fact::Programmes, $chain)]);
        }
        $isAdmitted = static fn (string $make): bool => array_filter($programmes, static fn (string $own): bool => NetworkSetUp::isSame($make, $own)) !== [];
        $admitted = array_values(array_filter($makes, $isAdmitted));

        return $admitted === []
            ? GateResult::fail(GateName::Access, self::notAdmitted($makes, $vehicle))
            : $this->admitted($admitted, $situation);
    }

    /**
     * By the first programme that is ready, or else the first.
     *
     * @param  non-empty-list<string>  $programmes
     */
    private function admitted(array $programmes, Situation $situation): GateResult
    {
        $vehicle = $situation->chain->vehicle->name;
        $toDo = null;
        foreach ($programmes as $programme) {
            $network = $situation->conditions->visit->network($programme);
            $result = $network === null ? null : self::setUp($network, static fn (Listing $ready): Message => Message::of('access.admitted_ready', vehicle: $vehicle, programme: $programme, ready: $ready));
            if ($result?->result() === Result::Pass) {
                return $result;
            }
            $toDo ??= $result;
        }

        return $toDo ?? GateResult::pass(GateName::Access, Message::of('access.admitted', vehicle: $vehicle, programme: $programmes[0]));
    }

    private function account(Situation $situation): GateResult
    {
        $name = $situation->chain->outlet->site->access->network;
        $network = $situation->conditions->visit->network($name);

        return ($network === null ? null : self::setUp($network, static fn (Listing $ready): Message => Message::of('access.ready', network: $network->name, ready: $ready)))
            ?? GateResult::caution(GateName::Access, $name === null ? Message::of('access.needs_account') : Message::of('access.needs_account_of', network: $name));
    }

    /**
     * What is left to do before the visit, or that nothing is; null where not every step has been checked yet.
     *
     * @param  \Closure(Listing): Message  $ready
     */
    private static function setUp(NetworkSetUp $network, \Closure $ready): ?GateResult
    {
        [$toDo, $done] = [$network->in(SetUpState::ToDo), $network->in(SetUpState::Done)];

        return match (true) {
            $toDo !== [] => GateResult::caution(GateName::Access, Message::of('access.before_you_leave', network: $network->name, steps: SetUpStep::list($toDo))),
            $done !== [] && $network->isLookedAt() => GateResult::pass(GateName::Access, $ready(SetUpStep::list($done))),
            default => null,
        };
    }

    /** @param  list<string>  $makes */
    private static function notAdmitted(array $makes, Vehicle $vehicle): Message
    {
        return $makes === []
            ? Message::of('access.nobody')
            : Message::of('access.not_admitted', makes: Listing::comma($makes), vehicle: $vehicle->name);
    }
}
