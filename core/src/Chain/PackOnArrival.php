<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** How warm the pack is when the car is plugged in. */
final readonly class PackOnArrival
{
    /** Warm enough that the charge curve holds as published (°C). */
    public const WARM_C = 25.0;

    /**
     * @param  float|null  $packC  as read (°C)
     * @param  bool  $prepared  whether the car has warmed it on the way
     * @param  float|null  $preparedMinutes  how long its heater runs on the way; null: not, or until it is warm
     * @param  bool  $isPreparationSaid  whether somebody said so, or it is only taken to be
     */
    public function __construct(
        public ?float $packC = null,
        public bool $prepared = true,
        public ?float $preparedMinutes = null,
        public bool $isPreparationSaid = true,
    ) {
    }

    /**
     * The battery's temperature without preheating (°C): warm if prepared, else as read, else the ambient it has
     * cooled to. Null when not known.
     */
    public function temperatureC(?float $ambientC): ?float
    {
        return $this->prepared ? self::WARM_C : ($this->packC ?? $ambientC);
    }

    public function warmed(): self
    {
        return new self($this->packC, true, null, $this->isPreparationSaid);
    }
}
