<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Power\Peak;

/** What the gates and the limits say of one chain. */
final readonly class ChainAnswer
{
    /**
     * @param  list<GateResult>  $gates  all seven, in order
     * @param  Peak|null  $peak  null when no current is expected, or no limit is known
     * @param  float|null  $idealPeakKw  what this vehicle would take here from an ideal station; null when not known
     * @param  LimitSet|null  $limits  of the chain; null when no current is expected, or the volts are not known
     */
    public function __construct(
        public Chain $chain,
        public Outcome $outcome,
        public array $gates,
        public ?Peak $peak,
        public ?float $idealPeakKw,
        public VoltagePlan $voltage,
        public ?LimitSet $limits,
    ) {
    }

    /** @return list<string> those of its gates first */
    public function cautions(): array
    {
        return Cautions::of($this);
    }

    /** 0 where nothing flows; null where it would flow but no limit is known. */
    public function expectedPeakKw(): ?float
    {
        return $this->outcome->mayFlow() ? $this->peak?->kw : 0.0;
    }

    /**
     * Negative when this is the better answer: by outcome, peak, fewest adapters; then the chain that breaks at fewer
     * gates, then a fixed order of ids, so that the order of the kit never decides.
     */
    public function compare(self $other): int
    {
        return [$other->outcome->rank(), $other->expectedPeakKw() ?? 0.0, count($this->chain->adapters), $this->failures(), implode("\n", $this->chain->linkIds())]
            <=> [$this->outcome->rank(), $this->expectedPeakKw() ?? 0.0, count($other->chain->adapters), $other->failures(), implode("\n", $other->chain->linkIds())];
    }

    private function failures(): int
    {
        return count(array_filter($this->gates, static fn (GateResult $g): bool => $g->result === Result::Fail));
    }

    /** One sentence for why the answer is what it is. */
    public function why(): string
    {
        foreach ($this->gates as $gate) {
            if ($this->outcome === Outcome::Hazard ? $gate->isHazard : $gate->result === Result::Fail) {
                return $gate->reason;
            }
        }
        if ($this->outcome === Outcome::Unverified) {
            foreach ($this->gates as $gate) {
                if ($gate->result === Result::Unknown) {
                    return $gate->reason;
                }
            }
        }

        return $this->peak === null
            ? 'Joins and may charge; no limit of the chain is known yet.'
            : ($this->outcome === Outcome::Limited ? 'Held back by ' : 'The peak is set by ').$this->peak->binding->words().'.';
    }
}
