<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\VoltagePlan;

/** A simulated session as a person notes it who follows a script. */
final class StandIn
{
    /** @throws CannotActOut */
    public static function noted(Chain $chain, VoltagePlan $plan, Conditions $conditions, Script $script): SimulatedSession
    {
        $simulation = new Simulation($chain, $plan, $conditions, $script->seed, $script->fault, $script->quirks, $script->longestMinutes);

        return $simulation->session(new PersonNotes($chain, $simulation->ambientC(), $script), $script->everyS);
    }
}
