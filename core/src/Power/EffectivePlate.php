<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Cable;
use Harmozon\Core\Equipment\Plate;

/**
 * A link's rating as it holds now, for forecasts and checks alike: a cooled cable whose coolant has failed falls to its
 * dry rating, and wear lowers uncooled cables and adapters.
 */
final readonly class EffectivePlate
{
    /**
     * @param  float  $ratingLeft  share of the continuous amps that wear has left
     * @param  bool  $cooled  the ambient does not derate it
     */
    private function __construct(public Plate $plate, private float $ratingLeft = 1.0, private bool $cooled = false)
    {
    }

    public static function ofCable(Cable $cable, Conditions $conditions): self
    {
        $now = $conditions->faults->coolingFailed ? $cable->withCoolingFailed() : $cable;

        return $now->isCooledNow()
            ? new self($now->plate, cooled: true)
            : new self($now->plateNow(), $now->ratingLeft * $conditions->earlierUse->ratingLeft);
    }

    public static function ofAdapter(Adapter $adapter, Conditions $conditions): self
    {
        return new self($adapter->rating->plate, $conditions->earlierUse->ratingLeft);
    }

    /** The state of a link that neither wears nor warms. */
    public static function asPrinted(Plate $plate): self
    {
        return new self($plate);
    }

    /** @param  float|null  $ambientC  null: as rated */
    public function duty(?float $ambientC): ?Duty
    {
        return Duty::of($this->plate, $ambientC, $this->ratingLeft, $this->cooled);
    }
}
