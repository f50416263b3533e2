<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** Limits that change during a session. */
final readonly class ChangingLimits
{
    /**
     * @param  list<HeatLink>  $heat  the links whose amps change with their heat load
     * @param  list<LaterLimit>  $later  those that begin some minutes in
     * @param  PackWarmth|null  $warmth  of a pack that starts cold
     * @param  list<LaterAmps>  $laterAmps  limits of the current that begin some minutes in
     */
    public function __construct(public array $heat = [], public array $later = [], public ?PackWarmth $warmth = null, public array $laterAmps = [])
    {
    }
}
