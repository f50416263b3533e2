<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Power\Link;
use Harmozon\Core\Power\Links;
use Harmozon\Core\Power\Peak;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** The answer for one chain, from its gates and limits. */
final readonly class ChainAnswer
{
    /**
     * @param  Peak|null  $peak  null when no current is expected, or no limit is known
     * @param  float|null  $idealPeakKw  what this vehicle would take here from an ideal station; null when not known
     * @param  LimitSet|null  $limits  of the chain; null when no current is expected, or the volts are not known
     * @param  Conditions  $conditions  those it was judged under
     */
    public function __construct(
        public Chain $chain,
        public Outcome $outcome,
        private GateResults $gateResults,
        public ?Peak $peak,
        public ?float $idealPeakKw,
        public VoltagePlan $voltage,
        public ?LimitSet $limits,
        public Conditions $conditions,
    ) {
    }

    /** @return list<GateResult> all of them, in order */
    public function gates(): array
    {
        return $this->gateResults->all();
    }

    /** The same chain with another peak and other limits. */
    public function withPower(Chain $chain, ?Peak $peak, VoltagePlan $voltage, ?LimitSet $limits): self
    {
        return new self($chain, $this->outcome, $this->gateResults, $peak, $this->idealPeakKw, $voltage, $limits, $this->conditions);
    }

    /** Why the driver's policy refuses it as well; null where it does not. */
    public function policyToo(): ?Message
    {
        return $this->gateResults->policyToo;
    }

    public function gate(GateName $name): GateResult
    {
        foreach ($this->gates() as $gate) {
            if ($gate->gate === $name) {
                return $gate;
            }
        }
        throw new \LogicException('every gate is always reported');
    }

    /** @return list<Message> those of its gates first */
    public function cautions(): array
    {
        return Cautions::of($this);
    }

    /** @return list<Link> with their plates, station first */
    public function links(): array
    {
        return Links::of($this->chain, $this->voltage, $this->conditions);
    }

    /** The name of one of them. */
    public function linkName(string $linkId): Message
    {
        foreach ($this->links() as $link) {
            if ($link->id === $linkId) {
                return $link->name;
            }
        }

        return Message::of('link.named', name: $linkId);
    }

    /** 0 where nothing flows; null where it would flow but no limit is known. */
    public function expectedPeakKw(): ?float
    {
        return $this->outcome->mayFlow() ? $this->peak?->kw : 0.0;
    }

    /**
     * Negative when this is the better answer. Compared by outcome; among those that won't charge, one that only the
     * policy refuses is better; then known power before "at most"; then peak; then fewest adapters. Equals keep the
     * order of the kit.
     */
    public function compare(self $other): int
    {
        if ($this->outcome !== $other->outcome) {
            return $other->outcome->rank() <=> $this->outcome->rank();
        }

        return [$other->isRefusedByPolicy(), $this->isAtMost(), $other->expectedPeakKw() ?? 0.0, count($this->chain->adapters)]
            <=> [$this->isRefusedByPolicy(), $other->isAtMost(), $this->expectedPeakKw() ?? 0.0, count($other->chain->adapters)];
    }

    /** Whether the power depends on figures that nobody has read: it is then an upper limit. */
    public function isAtMost(): bool
    {
        return $this->outcome->flow() === Flow::Yes && $this->limits !== null && ($this->limits->unread !== [] || $this->openShare() !== null);
    }

    /** What a neighbour would leave, where nobody knows whether there is one and it would be less. */
    public function openShare(): ?OpenShare
    {
        return $this->peak === null ? null : OpenShare::of($this->chain, $this->peak->kw);
    }

    /** @return list<AssumedFact> facts that nobody has read, and that its power rests on */
    public function assumed(): array
    {
        return $this->outcome->mayFlow() ? AssumedFact::ofPower($this->chain) : [];
    }

    /** @return list<StandardFact> what counted as known by construction, and mattered */
    public function byStandard(): array
    {
        return array_values(array_filter(StandardFact::of($this), static fn (StandardFact $f): bool => ! $f->isContradicted));
    }

    /** @return list<StandardFact> what was read and contradicts a standard; it is believed */
    public function contradictions(): array
    {
        return array_values(array_filter(StandardFact::of($this), static fn (StandardFact $f): bool => $f->isContradicted));
    }

    /** The range of its peak; null where nothing is assumed, or nothing is known. */
    public function bandKw(): ?UncertaintyBand
    {
        return SpreadBound::peakKw($this);
    }

    /** The most that this vehicle could take from an ideal station here, at the upper end of its spread; no range of an answer goes beyond it. */
    public function idealMostKw(): ?float
    {
        return $this->idealPeakKw === null ? null : max($this->idealPeakKw, SpreadBound::idealMostKw($this) ?? 0.0);
    }

    /** Whether only the driver's own policy is in the way. */
    public function isRefusedByPolicy(): bool
    {
        if ($this->outcome !== Outcome::WontCharge) {
            return false;
        }
        $failures = array_filter($this->gates(), static fn (GateResult $g): bool => $g->fails());

        return $failures !== [] && array_filter($failures, static fn (GateResult $g): bool => ! $g->isPolicy()) === [];
    }

    /** Whether an adapter in it would have to be bought first. */
    public function isToBuy(): bool
    {
        return array_filter($this->chain->adapters, static fn (Adapter $a): bool => $a->handling->isForSale) !== [];
    }

    /** Its peak power in words; null where nothing flows, or nothing is known. */
    public function given(): ?Message
    {
        $kw = $this->expectedPeakKw();

        return match (true) {
            $kw === null || $kw <= 0.0 => null,
            $this->isAtMost() => Message::of('power.at_most', kw: Amount::kw($kw)),
            $this->assumed() !== [] => Message::of('power.about', kw: Amount::kw($kw)),
            default => Message::of('power.known', kw: Amount::kw($kw)),
        };
    }

    /** Its outcome in words. */
    public function word(): Message
    {
        return match (true) {
            $this->isRefusedByPolicy() => Message::of('outcome.refused_by_policy'),
            $this->isToBuy() && $this->outcome === Outcome::Charges => Message::of('outcome.would_charge'),
            $this->isToBuy() && $this->outcome === Outcome::Limited => Message::of('outcome.would_be_held_back'),
            default => $this->outcome->message(),
        };
    }

    /** The gate that decides; null where the power does. */
    public function deciding(): ?GateResult
    {
        foreach ($this->gates() as $gate) {
            $decides = match ($this->outcome) {
                Outcome::Hazard => $gate->isHazard(),
                Outcome::Unverified => $gate->isUnknown(),
                default => $gate->fails(),
            };
            if ($decides) {
                return $gate;
            }
        }

        return null;
    }

    /** One sentence for why the answer is what it is. */
    public function why(): Message
    {
        return $this->deciding()?->reason() ?? ($this->peak === null ? Message::of('why.no_limit') : $this->whyPower($this->peak));
    }

    private function whyPower(Peak $peak): Message
    {
        $binding = $this->binding($peak);
        if ($this->outcome === Outcome::WontCharge) {
            return Message::of('why.next_to_nothing', kw: Amount::kw($peak->kw), binding: $binding);
        }
        $supply = LowSupply::of($this);
        if ($supply !== null) {
            return $supply->message($binding);
        }
        $adapter = $this->outcome === Outcome::Limited && $peak->binding === BindingCode::AdapterCurrent ? $this->adapterOf($peak->linkId) : null;

        return $adapter?->holdsBack() === false
            ? Message::of('why.adapter_lowest', adapter: $adapter->name)
            : Message::of('why.limited', binding: $binding);
    }

    /** What limits the power, with the figure of its rating where it is one. */
    private function binding(Peak $peak): Message
    {
        if ($peak->limit === null) {
            return $peak->binding->message();
        }
        [$quantity, $limit] = $peak->limit;
        $isAbout = $this->assumed() !== [] && array_filter($this->links(), static fn (Link $l): bool => $l->id === $peak->linkId && $l->isAbout($quantity)) !== [];
        $said = ['binding' => $peak->binding->message(), 'limit' => $quantity === Quantity::Amps ? Amount::amps($limit) : Amount::kw($limit)];

        return $isAbout ? Message::of('why.binding_about', ...$said) : Message::of('why.binding', ...$said);
    }

    private function adapterOf(string $linkId): ?Adapter
    {
        foreach ($this->chain->adapters as $adapter) {
            if ($adapter->id === $linkId) {
                return $adapter;
            }
        }

        return null;
    }
}
