<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The station's own cable: its reach, its amps, and whether it is liquid-cooled. */
final readonly class Cable
{
    use CopyWithChanges;

    /** What a cooled connector carries without its coolant, unless its plate says so itself (IEC 62196-3: 200 A uncooled). */
    public const DRY_RATING_A = 200.0;

    /**
     * @param  float  $ratingLeft  share of the continuous amps that is left, 1 when new (`ageing` in files)
     * @param  float|null  $dryA  what it carries without its coolant; null when not read
     */
    public function __construct(
        public ?float $lengthM,
        public ?bool $cooled,
        public bool $coolingFailed,
        public Plate $plate,
        public float $ratingLeft,
        public ?float $dryA = null,
    ) {
    }

    /** The same with a failed coolant pump; nothing changes on an uncooled cable. */
    public function withCoolingFailed(): self
    {
        return $this->with(coolingFailed: $this->cooled === true);
    }

    /** Whether it is being cooled now. */
    public function isCooledNow(): bool
    {
        return $this->cooled === true && ! $this->coolingFailed;
    }

    /** Whether its uncooled rating was entered higher than its cooled one. */
    public function isDryAbove(): bool
    {
        return $this->dryA !== null && $this->plate->continuousA !== null && $this->dryA > $this->plate->continuousA;
    }

    /** The rating that applies now: with a failed pump a cooled cable falls to its uncooled rating. */
    public function plateNow(): Plate
    {
        if ($this->cooled !== true || ! $this->coolingFailed) {
            return $this->plate;
        }
        // A dead pump never gives more.
        $dryA = min($this->dryA ?? self::DRY_RATING_A, $this->plate->continuousA ?? INF);

        return Plate::of($this->plate->maxV, $dryA, null, null, $this->plate->maxKw, $this->plate->ratedAtC, $this->plate->limitC);
    }
}
