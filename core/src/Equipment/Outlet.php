<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** A connector or socket offered by a stall, with its own plate, its cabinet and what stands around it. */
final readonly class Outlet
{
    /**
     * @param  list<Signalling>|null  $signalling  languages spoken; null when not known
     * @param  string|null  $knownFault  what somebody found wrong with this stall; null when nothing is known
     */
    public function __construct(
        public string $id,
        public string $name,
        public Coupler $coupler,
        public CurrentKind $current,
        public ?array $signalling,
        public ?float $minV,
        public ?float $maxV,
        public ?float $maxA,
        public ?float $maxKw,
        public ?float $stickerKw,
        public ?Cable $cable,
        public ?Adapter $attachedAdapter,
        public bool $extension,
        public ?Cabinet $cabinet,
        public ?Supply $supply,
        public Access $access,
        public ?Tariff $tariff,
        public ?string $knownFault = null,
    ) {
    }

    /**
     * Volts present when a session begins at an AC outlet: the supply's, or the plate's where only that was read.
     */
    public function mainsV(): ?float
    {
        return $this->supply->volts ?? $this->maxV;
    }

    public function admitting(Access $access): self
    {
        return $this->changed($access, $this->extension, $this->cabinet);
    }

    public function withoutExtension(): self
    {
        return $this->changed($this->access, false, $this->cabinet);
    }

    /** The neighbour at the cabinet has left. */
    public function alone(): self
    {
        return $this->changed($this->access, $this->extension, $this->cabinet?->alone());
    }

    private function changed(Access $access, bool $extension, ?Cabinet $cabinet): self
    {
        return new self(
            $this->id, $this->name, $this->coupler, $this->current, $this->signalling, $this->minV, $this->maxV, $this->maxA, $this->maxKw,
            $this->stickerKw, $this->cable, $this->attachedAdapter, $extension, $cabinet, $this->supply, $access, $this->tariff, $this->knownFault,
        );
    }
}
