<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/**
 * An adapter between connector and inlet. `input` faces the charger, `output` faces the vehicle. A portable supply is
 * an adapter whose input is a socket plug: it makes the control pilot itself (IEC 61851-1, mode 2).
 */
final readonly class Adapter
{
    use CopyWithChanges;

    public function __construct(
        public string $id,
        public string $name,
        public Coupler $input,
        public Coupler $output,
        public AdapterConversion $passes,
        public AdapterRating $rating,
        public AdapterTrust $trust = new AdapterTrust,
        public AdapterHandling $handling = new AdapterHandling,
    ) {
    }

    public function isActive(): bool
    {
        return $this->passes->translates !== null;
    }

    public function isPortableSupply(): bool
    {
        return $this->input->isSocket();
    }

    /** A cable of one's own between a socketed post and the car: the same shape on both ends (IEC 61851-1, case B). */
    public function isLooseCable(): bool
    {
        return $this->passes->current === CurrentKind::Ac && ! $this->input->isSocket() && $this->input->is($this->output);
    }

    /** Whether somebody else has it now. */
    public function isLent(): bool
    {
        return $this->handling->keeping->lentTo !== null;
    }

    /** Whether it is known to limit the current itself: its record says so, or gives the temperature at which it begins. */
    public function holdsBack(): bool
    {
        return $this->rating->holdsBack ?? $this->rating->derateC !== null;
    }

    /** The same for two pieces that differ in nothing but their names and where they are kept. */
    public function kindKey(): string
    {
        return serialize($this->with(id: '', name: '', handling: $this->handling->anywhere()));
    }

    /** A sound one of this kind that would have to be bought: nobody has seen it yet. */
    public function forSale(): self
    {
        return $this->with(trust: $this->trust->asNew(), handling: $this->handling->forSale());
    }

    /** The same as it would be bought: sound in everything that nobody has looked at. */
    public function asBought(): self
    {
        return $this->with(trust: $this->trust->soundIfUnknown(), handling: $this->handling->forSale());
    }

    /** The same as an offer: its condition and certification are as stated, and it is not owned. */
    public function offered(): self
    {
        return $this->with(handling: $this->handling->forSale());
    }

    /** The same with its own battery charged. */
    public function charged(): self
    {
        return $this->with(handling: $this->handling->charged());
    }
}
