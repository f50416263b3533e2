<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\CopyWithChanges;
use Harmozon\Core\Equipment\NetworkSetUp;
use Harmozon\Core\Equipment\PastTrouble;
use Harmozon\Core\Equipment\Vehicle;

/** The charge wanted, and the circumstances. */
final readonly class Conditions
{
    use CopyWithChanges;

    /**
     * @param  float|null  $ambientC  null when not known
     * @param  array<string, PastTrouble>  $remembered  what earlier sessions found wrong, by outlet id
     */
    public function __construct(
        public ChargeWanted $charge = new ChargeWanted,
        public ?float $ambientC = null,
        public PackOnArrival $pack = new PackOnArrival,
        public EarlierUse $earlierUse = new EarlierUse,
        public VisitPlan $visit = new VisitPlan,
        public Faults $faults = new Faults,
        public array $remembered = [],
        public CabinLoad $cabin = new CabinLoad,
    ) {
    }

    /** The same without heating or cooling the cabin. */
    public function withoutCabin(): self
    {
        return $this->with(cabin: new CabinLoad);
    }

    /** A session's charge as it actually went, not as planned. */
    public function reachedFrom(float $socFrom, float $socTo): self
    {
        return $this->with(charge: new ChargeWanted($socFrom, max($socFrom, $socTo)));
    }

    /** The target that a distance asks for, where the car's use is known. */
    public function reaching(Vehicle $vehicle): self
    {
        return $this->with(charge: $this->charge->reaching($vehicle));
    }

    public function arriving(float $socFrom): self
    {
        return $this->with(charge: $this->charge->arriving($socFrom));
    }

    public function upTo(float $socTo): self
    {
        return $this->with(charge: $this->charge->upTo($socTo));
    }

    public function inAir(float $ambientC): self
    {
        return $this->with(ambientC: $ambientC);
    }

    /** The battery's temperature when the car is plugged in, without preheating on the way (°C). Null when not known. */
    public function packTemperatureC(): ?float
    {
        return $this->pack->temperatureC($this->ambientC);
    }

    /** @param  list<NetworkSetUp>  $networks */
    public function setUp(array $networks): self
    {
        return $this->with(visit: $this->visit->setUp($networks));
    }

    /** @param  array<string, PastTrouble>  $remembered */
    public function remembering(array $remembered): self
    {
        return $this->with(remembered: $remembered);
    }

    public function prepared(): self
    {
        return $this->with(pack: $this->pack->warmed());
    }
}
