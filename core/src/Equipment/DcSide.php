<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** What an inlet can take as direct current. */
final readonly class DcSide
{
    use CopyWithChanges;

    /**
     * @param  list<Signalling>|null  $signalling  languages fitted; null when not known
     * @param  BoostConverter|null  $boostConverter  null when the car has none
     * @param  bool|null  $splitPack  whether the pack can be switched to two halves in parallel; null when not known
     */
    public function __construct(
        public ?array $signalling,
        public ?float $maxV,
        public ?float $maxA,
        public ?float $maxKw,
        public ?Retrofit $retrofit,
        public ?BoostConverter $boostConverter,
        public ?bool $splitPack,
    ) {
    }

    public function limitedTo(?float $maxA, ?float $maxKw): self
    {
        return $this->with(maxA: $maxA, maxKw: $maxKw);
    }

    /** @param  list<Signalling>  $languages */
    public function speaking(array $languages): self
    {
        return $this->with(signalling: $languages);
    }
}
