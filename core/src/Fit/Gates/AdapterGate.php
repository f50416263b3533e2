<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Certification;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Power\UnlimitedAdapter;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Gate 6: is every adapter fit for use, allowed by the driver's policy, not stacked, and within what it can carry? */
final class AdapterGate implements Gate
{
    /** How that caution's codes begin. */
    public const MAY_NOT_HOLD = 'adapter.may_not_hold';

    public function judge(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $isDc = $chain->current === CurrentKind::Dc;
        foreach ($chain->adapters as $adapter) {
            if ($adapter->trust->recalled === true) {
                return GateResult::hazard(GateName::Adapter, Message::of('adapter.recalled', adapter: $adapter->name));
            }
            if ($adapter->trust->damaged === true) {
                return GateResult::hazard(GateName::Adapter, Message::of('adapter.damaged', adapter: $adapter->name));
            }
        }
        if (count($chain->adapters) > 1) {
            return GateResult::hazard(GateName::Adapter, Message::of('adapter.stacked', adapters: Listing::and($chain->adapterNames())));
        }
        if ($chain->outlet->fittings->extension && $isDc) {
            return GateResult::hazard(GateName::Adapter, Message::of('adapter.dc_extension'));
        }
        if ($chain->adapters === []) {
            return $chain->outlet->fittings->extension
                ? GateResult::caution(GateName::Adapter, Message::of('adapter.ac_extension'))
                : GateResult::pass(GateName::Adapter, Message::of('adapter.none'));
        }

        return $this->one($chain->adapters[0], $situation);
    }

    private function one(Adapter $adapter, Situation $situation): GateResult
    {
        if ($adapter->isActive() && $adapter->handling->batteryOk === false) {
            return GateResult::fail(GateName::Adapter, Message::of('adapter.flat_battery', adapter: $adapter->name));
        }
        $trust = $this->trust($adapter, $situation);
        if ($trust->fails()) {
            return $trust;
        }
        $missing = [...$this->unread($adapter, $situation->chain), ...$trust->missing];
        if ($missing !== []) {
            return GateResult::unread(GateName::Adapter, $missing, self::danger($adapter));
        }

        return GateResult::passUnless(GateName::Adapter, $trust->reason(), fn (): array => $this->cautions($adapter, $trust, $situation));
    }

    /** @return list<UnreadFact> whatever the policy asks for */
    private function unread(Adapter $adapter, Chain $chain): array
    {
        $facts = [
            ...($adapter->trust->recalled === null ? [Fact::Recall] : []),
            ...($adapter->trust->damaged === null ? [Fact::Damage] : []),
            ...($adapter->isActive() && $adapter->handling->batteryOk === null ? [Fact::Battery] : []),
            ...($adapter->rating->plate->continuousA === null ? [Fact::AdapterA] : []),
        ];

        return array_map(static fn (Fact $fact): UnreadFact => UnreadFact::ofAdapter($fact, $adapter, $chain), $facts);
    }

    private static function danger(Adapter $adapter): ?Message
    {
        return match (true) {
            $adapter->trust->recalled === null => Message::of('danger.recall', adapter: $adapter->name),
            $adapter->trust->damaged === null => Message::of('danger.damage', adapter: $adapter->name),
            default => null,
        };
    }

    /** @return list<Message> */
    private function cautions(Adapter $adapter, GateResult $trust, Situation $situation): array
    {
        $holdBack = $situation->holdBack();

        return [
            ...($trust->result() === Result::Caution ? [$trust->reason()] : []),
            ...($adapter->trust->testOverdue === true ? [Message::of('adapter.test_due', adapter: $adapter->name)] : []),
            ...($situation->chain->outlet->fittings->extension ? [Message::of('adapter.ac_extension')] : []),
            ...($holdBack === null ? [] : [self::mayNotHold($holdBack)]),
        ];
    }

    public static function mayNotHold(UnlimitedAdapter $holdBack): Message
    {
        $plate = $holdBack->adapter->rating->plate;
        $figures = ['adapter' => $holdBack->adapter->name, 'continuous' => Amount::amps($holdBack->continuousA), 'could' => Amount::amps($holdBack->couldA)];

        return $plate->hasBoost()
            ? Message::of('adapter.may_not_hold_boost', ...$figures, boost: Amount::amps($plate->boostA), minutes: Amount::minutes($plate->boostMinutes))
            : Message::of('adapter.may_not_hold', ...$figures);
    }

    private function trust(Adapter $adapter, Situation $situation): GateResult
    {
        [$name, $policy, $chain] = [$adapter->name, $situation->policy, $situation->chain];
        if ($adapter->handling->isForSale && ! self::isKnownUnfit($adapter, $policy)) {
            return GateResult::pass(GateName::Adapter, Message::of($policy === AdapterPolicy::Maker ? 'adapter.for_sale_approved' : 'adapter.for_sale', adapter: $name));
        }
        if ($policy === AdapterPolicy::Maker) {
            return match ($adapter->trust->makerApproved) {
                true => GateResult::pass(GateName::Adapter, Message::of('adapter.approved', adapter: $name)),
                false => GateResult::refused(GateName::Adapter, Message::of('adapter.not_approved', adapter: $name)),
                null => GateResult::unread(GateName::Adapter, [UnreadFact::ofAdapter(Fact::MakerApproval, $adapter, $chain)]),
            };
        }
        $certification = $adapter->trust->certification;
        if ($certification === null) {
            return GateResult::unread(GateName::Adapter, [UnreadFact::ofAdapter(Fact::Certification, $adapter, $chain)]);
        }
        if ($certification === Certification::Certified) {
            return GateResult::pass(GateName::Adapter, Message::of('adapter.certified', adapter: $name, certification: $certification->message()));
        }

        return $policy === AdapterPolicy::Any
            ? GateResult::caution(GateName::Adapter, Message::of('adapter.uncertified_used', adapter: $name, certification: $certification->message()))
            : GateResult::refused(GateName::Adapter, Message::of('adapter.uncertified_refused', adapter: $name, certification: $certification->message()));
    }

    /** What is for sale is taken as new, but not against what is said of it. */
    private static function isKnownUnfit(Adapter $adapter, AdapterPolicy $policy): bool
    {
        $certification = $adapter->trust->certification;

        return $policy === AdapterPolicy::Maker ? $adapter->trust->makerApproved === false : $certification !== null && $certification !== Certification::Certified;
    }
}
