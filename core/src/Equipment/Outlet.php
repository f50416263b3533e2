<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** A connector or socket of a stall, with its rating, its cabinet and its surroundings. */
final readonly class Outlet
{
    use CopyWithChanges;

    /** @param  array<string, FactOrigin>  $origins  where facts come from, by their path in the case file (`max_kw`) */
    public function __construct(
        public string $id,
        public string $name,
        public Coupler $coupler,
        public OutletRating $rating,
        public OutletFittings $fittings,
        public OutletFeed $feed,
        public OutletSite $site,
        public array $origins = [],
    ) {
    }

    /**
     * Voltage of an AC outlet when a session begins: the supply's, or the rated one where only that was read.
     */
    public function mainsV(): ?float
    {
        return $this->feed->supply->volts ?? $this->rating->maxV;
    }

    /**
     * The same with what a standard fixes filled in.
     *
     * @param  array<string, FactOrigin>  $origins
     */
    public function completed(OutletRating $rating, ?Supply $supply, array $origins): self
    {
        return $this->with(rating: $rating, feed: new OutletFeed($this->feed->cabinet, $supply), origins: $origins);
    }

    public function admitting(Access $access): self
    {
        return $this->with(site: $this->site->admitting($access));
    }

    public function withoutExtension(): self
    {
        return $this->with(fittings: $this->fittings->withoutExtension());
    }

    /** @return list<Stall> */
    public function faultyStalls(): array
    {
        return array_values(array_filter($this->site->stalls, static fn (Stall $s): bool => $s->fault !== null));
    }

    /** Whether every stall has a known fault. */
    public function isWhollyFaulty(): bool
    {
        return $this->site->stalls !== [] && count($this->faultyStalls()) === count($this->site->stalls);
    }

    /** @return list<Stall> with this kind of bay, faulty ones too */
    public function stallsOf(Bay $bay): array
    {
        return array_values(array_filter($this->site->stalls, static fn (Stall $s): bool => $s->bay === $bay));
    }

    /** @return list<Stall> that a trailer can be driven through, and nothing is known against */
    public function pullThrough(): array
    {
        return array_values(array_filter($this->stallsOf(Bay::PullThrough), static fn (Stall $s): bool => $s->fault === null));
    }

    /**
     * Stalls to try when one doesn't start: without faults, and not fed by the same cabinet. Those on another cabinet
     * come before those whose cabinet isn't known.
     *
     * @param  string|null  $label  of the stall that does not start; null when not known, and then any may be the one
     * @return list<Stall>
     */
    public function stallsApartFrom(?string $label): array
    {
        $failed = array_values(array_filter($this->site->stalls, static fn (Stall $s): bool => $s->label === $label))[0] ?? null;
        $others = array_values(array_filter($this->site->stalls, static fn (Stall $s): bool => $failed !== null && $s !== $failed && $s->fault === null
            && ($s->cabinet === null || $s->cabinet !== $failed->cabinet)));
        usort($others, static fn (Stall $a, Stall $b): int => ($a->cabinet === null || $failed?->cabinet === null) <=> ($b->cabinet === null || $failed?->cabinet === null));

        return $others;
    }

    /** The same; its own adapter is a sound one. */
    public function withSoundAdapter(): self
    {
        return $this->with(fittings: $this->fittings->withSoundAdapter());
    }

    public function limitedTo(?float $maxA, ?float $maxKw): self
    {
        return $this->with(rating: $this->rating->limitedTo($maxA, $maxKw));
    }

    public function fedBy(?Cabinet $cabinet): self
    {
        return $this->with(feed: new OutletFeed($cabinet, $this->feed->supply));
    }

    public function suppliedBy(?Supply $supply): self
    {
        return $this->with(feed: new OutletFeed($this->feed->cabinet, $supply));
    }

    /** The same without a neighbour on its cabinet. */
    public function alone(): self
    {
        return $this->fedBy($this->feed->cabinet?->alone());
    }
}
