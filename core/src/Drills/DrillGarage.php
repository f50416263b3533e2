<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Kit\PlacedOutlet;

/** The cars, chargers and adapters that drills are made from. */
final readonly class DrillGarage
{
    private Fitter $fitter;

    /**
     * @param  non-empty-list<Vehicle>  $vehicles
     * @param  non-empty-list<PlacedOutlet>  $outlets
     * @param  list<Adapter>  $adapters  owned
     */
    public function __construct(public array $vehicles, public array $outlets, public array $adapters, public Conditions $conditions)
    {
        $this->fitter = new Fitter($adapters, $conditions, AdapterPolicy::Any);
    }

    /** Any car at any charger. */
    public function any(Draw $draw): Answer
    {
        return $this->fitter->answer($draw->one($this->outlets)->outlet, $draw->one($this->vehicles));
    }

    /** A car at a charger where it charges, for certain and at a known power; null where this draw finds none. */
    public function charging(Draw $draw): ?ChainAnswer
    {
        $best = $this->any($draw)->best;

        return $best->outcome->flow() === Flow::Yes && $best->peak !== null && ! $best->isAtMost() && ! $best->isToBuy() ? $best : null;
    }

    public function at(PlacedOutlet $at, Vehicle $vehicle): Answer
    {
        return $this->fitter->answer($at->outlet, $vehicle);
    }

    /** @param  list<Adapter>  $adapters  exactly these */
    public function through(ChainAnswer $like, array $adapters): ChainAnswer
    {
        return $this->fitter->exactly($like->chain->outlet, $adapters, $like->chain->vehicle)->best;
    }
}
