<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\ChainFinder;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlan;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Power\PeakFinder;
use Harmozon\Core\Words\Message;

/** Answers what a vehicle can do at an outlet with a kit of adapters. */
final class Fitter
{
    /** @var list<Gate> in the order of GateName */
    private readonly array $gates;

    private readonly ChainFinder $finder;

    private readonly VoltagePlanner $planner;

    private readonly PeakFinder $peaks;

    /** @var \WeakMap<Inlet, array<string, IdealPower>> by inlet and current */
    private readonly \WeakMap $ideal;

    /** @param  list<Adapter>  $kit */
    public function __construct(
        array $kit,
        public readonly Conditions $conditions,
        private readonly AdapterPolicy $policy = AdapterPolicy::Certified,
    ) {
        $this->gates = array_map(static fn (GateName $name): Gate => $name->gate(), GateName::cases());
        $this->finder = new ChainFinder($kit);
        $this->planner = new VoltagePlanner;
        $this->peaks = new PeakFinder;
        $this->ideal = new \WeakMap;
    }

    /** Stacks are always refused, so they are only considered where nothing else fits. */
    public function answer(Outlet $outlet, Vehicle $vehicle): Answer
    {
        $answers = array_map($this->judge(...), $this->finder->chains($outlet, $vehicle));
        if (array_filter($answers, static fn (ChainAnswer $a): bool => $a->outcome !== Outcome::NoJoint) === []) {
            array_push($answers, ...array_map($this->judge(...), $this->finder->stacks($outlet, $vehicle)));
        }

        return Answer::bestOf($answers);
    }

    /**
     * The answer for exactly these adapters, at the inlet where they do best.
     *
     * @param  list<Adapter>  $adapters  in the order the current passes them
     */
    public function exactly(Outlet $outlet, array $adapters, Vehicle $vehicle): Answer
    {
        return Answer::bestOf(array_map(
            fn (int $inlet): ChainAnswer => $this->judge(new Chain($outlet, $adapters, $vehicle, $inlet)),
            array_keys($vehicle->inlets),
        ));
    }

    /**
     * Judges the better of the car's ways of matching the station's voltage. Only a chain that would charge without the
     * policy counts as refused by it; for any other chain the policy is a second reason.
     */
    public function judge(Chain $chain): ChainAnswer
    {
        $answer = $this->best($chain, $this->policy);
        if ($this->policy === AdapterPolicy::Any || ! $answer->isRefusedByPolicy()) {
            return $answer;
        }
        $any = $this->best($chain, AdapterPolicy::Any);

        return $any->outcome->flow() === Flow::Yes ? $answer : $this->best($chain, AdapterPolicy::Any, $answer->gate(GateName::Adapter)->reason());
    }

    /** @param  Message|null  $policyToo  why the driver's own policy refuses it as well */
    private function best(Chain $chain, AdapterPolicy $policy, ?Message $policyToo = null): ChainAnswer
    {
        $plans = $this->planner->plans($chain, $this->conditions);
        $best = $this->judged($chain, $plans[0], $policy, $policyToo);
        foreach (array_slice($plans, 1) as $plan) {
            $next = $this->judged($chain, $plan, $policy, $policyToo);
            if ($next->compare($best) < 0) {
                $best = $next;
            }
        }

        return $best;
    }

    private function judged(Chain $chain, VoltagePlan $plan, AdapterPolicy $policy, ?Message $policyToo): ChainAnswer
    {
        $situation = new Situation($chain, $this->conditions, $policy, $plan);
        $gates = new GateResults($this->gates, $situation, $policyToo);
        $ideal = $this->ideal($chain);
        $outcome = Outcome::of($gates, $chain->reachesContacts());
        if (! $outcome->mayFlow()) {
            return new ChainAnswer($chain, $outcome, $gates, null, $ideal->kw, $plan, null, $this->conditions);
        }
        $limits = $situation->limits();
        $peak = $limits === null ? null : $this->peaks->find($limits, $this->conditions->charge->socFrom, $plan->endSoc($this->conditions));

        return new ChainAnswer($chain, $outcome->held($peak?->kw, $ideal->isRead ? $ideal->kw : null), $gates, $peak, $ideal->kw, $plan, $limits, $this->conditions);
    }

    /** Depends on the vehicle's inlet and the kind of current alone, so it is worked out once for each. */
    private function ideal(Chain $chain): IdealPower
    {
        $known = $this->ideal[$chain->inlet] ?? [];
        $current = $chain->current->value;
        if (! isset($known[$current])) {
            $limits = Limits::ofVehicle($chain, $this->conditions);
            $known[$current] = new IdealPower($limits === null ? null : $this->peaks->find($limits, $this->conditions->charge->socFrom, $this->conditions->charge->socTo)?->kw, $limits?->unread === []);
            $this->ideal[$chain->inlet] = $known;
        }

        return $known[$current];
    }
}
