<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** An adapter's rating, and what it does by itself when it gets warm. */
final readonly class AdapterRating
{
    /**
     * @param  float|null  $derateC  contact temperature from which it asks for less current (°C)
     * @param  float|null  $cutoffC  contact temperature at which it ends the session (°C)
     * @param  bool|null  $holdsBack  whether it holds the current back by itself when it gets warm; null when not known
     */
    public function __construct(
        public Plate $plate,
        public ?float $derateC = null,
        public ?float $cutoffC = null,
        public ?bool $holdsBack = null,
    ) {
    }
}
