<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\ChainFinder;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\PeakFinder;

/** Answers what a vehicle can do at an outlet with a kit of adapters. */
final class Fitter
{
    /** @var list<Gate> in the order of GateName */
    private readonly array $gates;

    private readonly ChainFinder $finder;

    private readonly VoltagePlanner $planner;

    private readonly PeakFinder $peaks;

    /** @var \WeakMap<Inlet, array<string, float|null>> by inlet and current */
    private readonly \WeakMap $idealKw;

    /** @param  list<Adapter>  $kit */
    public function __construct(
        array $kit,
        private readonly Conditions $conditions,
        private readonly AdapterPolicy $policy = AdapterPolicy::Certified,
    ) {
        $this->gates = [
            new Gates\ShapeGate,
            new Gates\CurrentGate,
            new Gates\SignallingGate,
            new Gates\VoltageGate,
            new Gates\AccessGate,
            new Gates\AdapterGate,
            new Gates\ReachGate,
        ];
        $this->finder = new ChainFinder($kit);
        $this->planner = new VoltagePlanner;
        $this->peaks = new PeakFinder;
        $this->idealKw = new \WeakMap;
    }

    public function answer(Outlet $outlet, Vehicle $vehicle): Answer
    {
        return $this->best($this->finder->chains($outlet, $vehicle));
    }

    /**
     * The best chain alone, for a board: stacks are refused whatever they join, so they are looked at only where nothing
     * else joins at all.
     */
    public function bestOf(Outlet $outlet, Vehicle $vehicle): ChainAnswer
    {
        $best = $this->bestAmong($this->finder->chains($outlet, $vehicle, ChainFinder::UNSTACKED));

        return $best->outcome === Outcome::NoJoint
            ? $this->bestAmong($this->finder->chains($outlet, $vehicle))
            : $best;
    }

    /** @param  non-empty-list<Chain>  $chains */
    private function bestAmong(array $chains): ChainAnswer
    {
        $best = $this->judge($chains[0]);
        foreach (array_slice($chains, 1) as $chain) {
            $next = $this->judge($chain);
            if ($next->compare($best) < 0) {
                $best = $next;
            }
        }

        return $best;
    }

    /** @param  non-empty-list<Chain>  $chains */
    private function best(array $chains): Answer
    {
        $answers = array_map($this->judge(...), $chains);
        usort($answers, static fn (ChainAnswer $a, ChainAnswer $b): int => $a->compare($b));

        return new Answer($answers[0], array_slice($answers, 1));
    }

    /**
     * The answer for exactly these adapters, through whichever inlet they serve best.
     *
     * @param  list<Adapter>  $adapters  in the order the current passes them
     */
    public function exactly(Outlet $outlet, array $adapters, Vehicle $vehicle): Answer
    {
        return $this->best(array_map(
            static fn (int $inlet): Chain => new Chain($outlet, $adapters, $vehicle, $inlet),
            array_keys($vehicle->inlets),
        ));
    }

    public function judge(Chain $chain): ChainAnswer
    {
        $plan = $this->planner->plan($chain, $this->conditions);
        $situation = new Situation($chain, $this->conditions, $this->policy, $plan);
        $gates = [];
        foreach ($this->gates as $gate) {
            $gates[] = $gate->judge($situation);
        }
        $idealKw = $this->idealKw($chain);
        if (! Outcome::of($gates, null, null)->mayFlow()) {
            return new ChainAnswer($chain, Outcome::of($gates, null, null), $gates, null, $idealKw, $plan, null);
        }
        $limits = Limits::ofChain($chain, $plan, $this->conditions);
        $peak = $limits === null ? null : $this->peaks->find($limits, $this->conditions->socFrom, $plan->endSoc($this->conditions));

        return new ChainAnswer($chain, Outcome::of($gates, $peak?->kw, $idealKw), $gates, $peak, $idealKw, $plan, $limits);
    }

    /** Depends on the vehicle's inlet and the kind of current alone, so it is worked out once for each. */
    private function idealKw(Chain $chain): ?float
    {
        $known = $this->idealKw[$chain->inlet] ?? [];
        $current = $chain->current()->value;
        if (! array_key_exists($current, $known)) {
            $ideal = Limits::ofVehicle($chain, $this->conditions);
            $known[$current] = $ideal === null ? null : $this->peaks->find($ideal, $this->conditions->socFrom, $this->conditions->socTo)?->kw;
            $this->idealKw[$chain->inlet] = $known;
        }

        return $known[$current];
    }
}
