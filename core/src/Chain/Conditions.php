<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Alterable;
use Harmozon\Core\Equipment\NetworkSetUp;
use Harmozon\Core\Equipment\Remembered;
use Harmozon\Core\Equipment\Vehicle;

/** The charge that is wanted and the circumstances it happens in. */
final readonly class Conditions
{
    use Alterable;

    public const DEFAULT_SOC_FROM = 10.0;

    public const DEFAULT_SOC_TO = 80.0;

    /** Warm enough that the charge curve holds as published (°C). */
    public const WARM_PACK_C = 25.0;

    /**
     * @param  array<string, float>  $theta  heat load by link id (an adapter's id, or `cable`) when earlier use ended, 1 being the allowed rise
     * @param  float  $restedMinutes  since then: the loads have decayed for so long
     * @param  float  $ratingLeft  share of the continuous amps that uncooled cables and adapters have kept (`ageing` in files)
     * @param  float  $idleMinutes  how long the car stays plugged in after the end
     * @param  float|null  $preparedMinutes  how long the car's heater warms the pack on the way; null: not, or until it is warm
     * @param  Distance|null  $distance  what the charge is wanted for, where the target follows from it
     * @param  bool  $isPreparationSaid  whether somebody said so, or it is only taken to be
     * @param  array<string, Remembered>  $remembered  what earlier sessions found wrong, by outlet id
     * @param  list<NetworkSetUp>  $networks  what the driver has looked at or set up before the visit
     * @param  float|null  $nextStopKw  what the next stop on the way would give
     */
    public function __construct(
        public float $socFrom = self::DEFAULT_SOC_FROM,
        public float $socTo = self::DEFAULT_SOC_TO,
        public ?float $ambientC = null,
        public ?float $packC = null,
        public bool $packPrepared = true,
        public bool $member = false,
        public array $theta = [],
        public Faults $faults = new Faults,
        public float $ratingLeft = 1.0,
        public float $restedMinutes = 0.0,
        public float $idleMinutes = 0.0,
        public ?float $nextStopKw = null,
        public array $networks = [],
        public ?float $preparedMinutes = null,
        public ?Distance $distance = null,
        public bool $isPreparationSaid = true,
        public array $remembered = [],
    ) {
    }

    /**
     * The pack's temperature before its heater has run on the way: prepared is warm; else as read; else soaked to the ambient.
     * Null when nothing tells.
     */
    public function packTemperatureC(): ?float
    {
        return $this->packPrepared ? self::WARM_PACK_C : ($this->packC ?? $this->ambientC);
    }

    /** The target that a distance asks for, where the car's use is known. */
    public function reaching(Vehicle $vehicle): self
    {
        $soc = $this->distance?->targetSoc($vehicle);

        return $soc === null ? $this : $this->with(socTo: max($this->socFrom, min(100.0, $soc)));
    }

    public function thetaOf(string $linkId): float
    {
        return $this->theta[$linkId] ?? 0.0;
    }

    public function arriving(float $socFrom): self
    {
        return $this->with(socFrom: $socFrom, socTo: max($socFrom, $this->socTo));
    }

    /** As a session went: from its own start to where it came, whatever was wanted. */
    public function reachedFrom(float $socFrom, float $socTo): self
    {
        return $this->with(socFrom: $socFrom, socTo: max($socFrom, $socTo), distance: null);
    }

    public function inAir(float $ambientC): self
    {
        return $this->with(ambientC: $ambientC);
    }

    public function upTo(float $socTo): self
    {
        return $this->with(socTo: $socTo);
    }

    /** @param  list<NetworkSetUp>  $networks */
    public function setUp(array $networks): self
    {
        return $this->with(networks: $networks);
    }

    /** @param  array<string, Remembered>  $remembered */
    public function remembering(array $remembered): self
    {
        return $this->with(remembered: $remembered);
    }

    public function network(?string $name): ?NetworkSetUp
    {
        foreach ($this->networks as $network) {
            if ($name !== null && $network->isCalled($name)) {
                return $network;
            }
        }

        return null;
    }

    public function prepared(): self
    {
        return $this->with(packPrepared: true, preparedMinutes: null);
    }
}
