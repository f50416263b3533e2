<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** What an outlet can give, and the protocols it uses. Null: not known. */
final readonly class OutletRating
{
    use CopyWithChanges;

    /**
     * @param  list<Signalling>|null  $signalling  protocols it uses
     * @param  float|null  $stickerKw  the power it advertises
     */
    public function __construct(
        public CurrentKind $current,
        public ?array $signalling,
        public ?float $minV,
        public ?float $maxV,
        public ?float $maxA,
        public ?float $maxKw,
        public ?float $stickerKw,
    ) {
    }

    /** @param  list<Signalling>|null  $protocols */
    public function speaking(?array $protocols): self
    {
        return $this->with(signalling: $protocols);
    }

    public function limitedTo(?float $maxA, ?float $maxKw): self
    {
        return $this->with(maxA: $maxA, maxKw: $maxKw);
    }
}
