<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The coupler on the vehicle, the corner it sits at, and what lies behind it. */
final readonly class Inlet
{
    use CopyWithChanges;

    public function __construct(
        public Coupler $coupler,
        public ?PortCorner $port,
        public ?DcSide $dc,
        public ?AcSide $ac,
    ) {
    }

    public function has(CurrentKind $current): bool
    {
        return match ($current) {
            CurrentKind::Dc => $this->dc !== null,
            CurrentKind::Ac => $this->ac !== null,
        };
    }

    /** Rated volts; null where nobody has read them. */
    public function ratedV(CurrentKind $current): ?float
    {
        return $current === CurrentKind::Dc ? $this->dc?->maxV : $this->ac?->ratedV();
    }

    public function withDc(DcSide $dc): self
    {
        return $this->with(dc: $dc);
    }

    public function withAc(AcSide $ac): self
    {
        return $this->with(ac: $ac);
    }
}
