<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;

/** What a session's readings add up to, before any plate is held against them. */
final readonly class Measured
{
    /** What a screen without decimals may show of nothing (A). */
    private const SCREENS_ROUNDING_A = 0.5;

    /** The same of one with a decimal (kW). */
    private const SCREENS_ROUNDING_KW = 0.1;

    /**
     * @param  array<value-of<Quantity>, PeakValue>  $peaks
     * @param  float|null  $energyKwh  at the plug; null with fewer than two readings of kW
     * @param  float|null  $energyBridgedShare  of the energy, what lies in gaps that nobody read (0…1)
     * @param  float|null  $lastTs  time of the last reading (s)
     * @param  list<Gap>  $gaps
     * @param  int  $gapsLeftOut  gaps beyond those listed
     * @param  list<Flag>  $flags
     * @param  int  $flagsLeftOut  flags beyond those listed
     * @param  array<string, DutyMeter>  $duties  by link id
     */
    public function __construct(
        public int $readings,
        public int $readingsWithAmps,
        public array $peaks,
        public ?float $mean10MinA,
        public ?float $mean10MinKw,
        public ?float $mean1MinA,
        public ?float $mean1MinKw,
        public ?float $energyKwh,
        public ?float $energyBridgedShare,
        public ?float $firstSoc,
        public ?float $lastSoc,
        public ?float $lastTs,
        public array $gaps,
        public int $gapsLeftOut,
        public array $flags,
        public int $flagsLeftOut,
        public array $duties,
        public float $samplingGapS,
        public TemperatureMeter $temperatures,
        public Course $course,
    ) {
    }

    public function peak(Quantity $quantity): ?PeakValue
    {
        return $this->peaks[$quantity->value] ?? null;
    }

    public function socGained(): ?float
    {
        return $this->firstSoc === null || $this->lastSoc === null ? null : $this->lastSoc - $this->firstSoc;
    }

    /** Whether any current was seen to flow. */
    public function flowed(): bool
    {
        return self::isFlow($this->peak(Quantity::Amps)?->value, $this->peak(Quantity::Kw)?->value);
    }

    /** Whether these values are more than what a screen may show of nothing. */
    public static function isFlow(?float $amps, ?float $kw): bool
    {
        return ($amps ?? 0.0) > self::SCREENS_ROUNDING_A || ($kw ?? 0.0) > self::SCREENS_ROUNDING_KW;
    }
}
