<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/**
 * A piece between connector and inlet. `input` faces the charger, `output` faces the vehicle. A portable supply is an
 * adapter whose input is a socket plug: it makes the control pilot itself (IEC 61851-1, mode 2).
 */
final readonly class Adapter
{
    use Alterable;

    /** @param  bool|null  $holdsBack  whether it holds the current back by itself when it gets warm; null when not known */
    public function __construct(
        public string $id,
        public string $name,
        public Coupler $input,
        public Coupler $output,
        public ?CurrentKind $current,
        public Plate $plate,
        public ?Translation $translates = null,
        public ?Certification $certification = null,
        public ?bool $makerApproved = null,
        public ?bool $recalled = null,
        public ?bool $damaged = null,
        public ?bool $batteryOk = null,
        public ?float $derateC = null,
        public ?float $cutoffC = null,
        public ?AttachOrder $attachOrder = null,
        public ?string $price = null,
        public ?bool $testOverdue = null,
        public ?bool $holdsBack = null,
        public bool $isForSale = false,
    ) {
    }

    public function isActive(): bool
    {
        return $this->translates !== null;
    }

    public function isPortableSupply(): bool
    {
        return $this->input->isSocket();
    }

    /** A cable of one's own between a socketed post and the car: the same shape on both ends (IEC 61851-1, case B). */
    public function isLooseCable(): bool
    {
        return $this->current === CurrentKind::Ac && ! $this->input->isSocket() && $this->input->is($this->output);
    }

    /** Whether it is known to hold the current back by itself: it says so, or names a temperature from which it does. */
    public function holdsBack(): bool
    {
        return $this->holdsBack ?? $this->derateC !== null;
    }

    /** The same for two pieces that differ in nothing but their names. */
    public function kindKey(): string
    {
        return serialize($this->with(id: '', name: ''));
    }

    /** A sound one of this kind, as it would have to be bought: nobody has seen it yet. */
    public function forSale(): self
    {
        return $this->with(certification: Certification::Certified, makerApproved: true, recalled: false, damaged: false, batteryOk: true, isForSale: true);
    }

    /** The same with its own battery charged. */
    public function charged(): self
    {
        return $this->with(batteryOk: true);
    }
}
