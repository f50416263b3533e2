<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Certification;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Fit\Situation;

/** Gate 6: is every adapter fit for use, allowed by the driver's policy, and the only one? */
final class AdapterGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $isDc = $chain->current() === CurrentKind::Dc;
        foreach ($chain->adapters as $adapter) {
            if ($adapter->recalled === true) {
                return GateResult::hazard(GateName::Adapter, sprintf('%s is under recall: do not use it.', $adapter->name));
            }
            if ($adapter->damaged === true) {
                return GateResult::hazard(GateName::Adapter, sprintf('%s is damaged: do not use it.', $adapter->name));
            }
        }
        if (count($chain->adapters) > 1) {
            return GateResult::hazard(GateName::Adapter, sprintf('%s would be stacked: never join adapters.', implode(' and ', array_map(static fn (Adapter $a): string => $a->name, $chain->adapters))));
        }
        if ($chain->outlet->extension && $isDc) {
            return GateResult::hazard(GateName::Adapter, 'An extension lead stands in a DC chain: never extend DC.');
        }
        if ($chain->adapters === []) {
            return $chain->outlet->extension
                ? GateResult::caution(GateName::Adapter, 'An extension lead stands in the chain: use one only where the supply\'s handbook allows it.')
                : GateResult::pass(GateName::Adapter, 'No adapter needed.');
        }

        return $this->one($chain->adapters[0], $situation->policy, $chain->outlet->extension);
    }

    private function one(Adapter $adapter, AdapterPolicy $policy, bool $extended): GateResult
    {
        $name = $adapter->name;
        if ($adapter->isActive() && $adapter->batteryOk === false) {
            return GateResult::fail(GateName::Adapter, sprintf("%s is active and its battery is flat: charge the adapter's own battery first.", $name));
        }
        $trust = $this->trust($adapter, $policy);
        if ($trust->result === Result::Fail) {
            return $trust;
        }
        if ($adapter->recalled === null) {
            return GateResult::unread(GateName::Adapter, [Unread::recall($adapter)]);
        }
        if ($adapter->damaged === null) {
            return GateResult::unread(GateName::Adapter, [Unread::damage($adapter)]);
        }
        if ($adapter->isActive() && $adapter->batteryOk === null) {
            return GateResult::unread(GateName::Adapter, [Unread::battery($adapter)]);
        }
        if ($trust->result === Result::Pass && $adapter->testOverdue === true) {
            return GateResult::caution(GateName::Adapter, sprintf('%s is due for a test: try it near home before relying on it.', $name));
        }
        if ($trust->result === Result::Pass && $extended) {
            return GateResult::caution(GateName::Adapter, 'An extension lead stands in the chain: use one only where the supply\'s handbook allows it.');
        }

        return $trust;
    }

    private function trust(Adapter $adapter, AdapterPolicy $policy): GateResult
    {
        $name = $adapter->name;
        if ($policy === AdapterPolicy::Maker) {
            return match ($adapter->makerApproved) {
                true => GateResult::pass(GateName::Adapter, sprintf('%s is approved by the car\'s maker.', $name)),
                false => GateResult::fail(GateName::Adapter, sprintf('%s is not approved by the car\'s maker, and the policy asks for that.', $name)),
                null => GateResult::unread(GateName::Adapter, [Unread::makerApproval($adapter)]),
            };
        }
        $certification = $adapter->certification;
        if ($certification === null) {
            return GateResult::unread(GateName::Adapter, [Unread::certification($adapter)]);
        }
        if ($certification === Certification::Certified) {
            return GateResult::pass(GateName::Adapter, sprintf('%s is %s.', $name, $certification->words()));
        }
        $sentence = sprintf('%s is %s', $name, $certification->words());

        return $policy === AdapterPolicy::Any
            ? GateResult::caution(GateName::Adapter, $sentence.': stay with it and feel for heat.')
            : GateResult::fail(GateName::Adapter, $sentence.', and the policy asks for certified adapters.');
    }
}
