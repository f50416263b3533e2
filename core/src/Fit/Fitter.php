<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\ChainFinder;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlanner;
use Harmozon\Core\Equipment\Adapter;
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
    }

    public function answer(Outlet $outlet, Vehicle $vehicle): Answer
    {
        return $this->best($this->finder->chains($outlet, $vehicle));
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
        $gates = array_map(static fn (Gate $gate): GateResult => $gate->judge($situation), $this->gates);

        $limits = Limits::ofChain($chain, $plan, $this->conditions);
        $peak = $limits === null ? null : $this->peaks->find($limits, $this->conditions->socFrom, $plan->endSoc($this->conditions));
        $ideal = Limits::ofVehicle($chain, $this->conditions);
        $idealKw = $ideal === null ? null : $this->peaks->find($ideal, $this->conditions->socFrom, $this->conditions->socTo)?->kw;

        $outcome = Outcome::of($gates, $peak?->kw, $idealKw);

        return new ChainAnswer(
            $chain, $outcome, $gates, $outcome->mayFlow() ? $peak : null, $idealKw, $plan,
            Cautions::of($chain, $gates, $outcome, $limits),
        );
    }
}
