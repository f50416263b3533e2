<?php

declare(strict_types=1);

namespace App\Equipment;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\PastTrouble;

/** What the garage's earlier sessions contribute to the next one. */
interface GarageExperience
{
    /** @return array<string, PastTrouble> what went wrong and was not lifted, by outlet id */
    public function remembered(): array;

    /**
     * The heat left in adapters by earlier use.
     *
     * @param  list<Adapter>  $adapters
     * @return array<string, float> by id; those that are cold are left out
     */
    public function theta(array $adapters): array;
}
