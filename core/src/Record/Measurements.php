<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;

/** A session's measurements, before they are compared with any rating. */
final readonly class Measurements
{
    /** The most that a screen without decimals may show when nothing flows (A). */
    private const SCREENS_ROUNDING_A = 0.5;

    /** The same for a screen with one decimal (kW). */
    private const SCREENS_ROUNDING_KW = 0.1;

    /**
     * @param  array<value-of<Quantity>, PeakValue>  $peaks
     * @param  array<string, DutyMeter>  $duties  by link id
     */
    public function __construct(
        public ReadingCount $count,
        public array $peaks,
        public HighestMeans $means,
        public EnergyRead $energy,
        public Irregularities $irregularities,
        public array $duties,
        public TemperatureMeter $temperatures,
        public Course $course,
    ) {
    }

    public function peak(Quantity $quantity): ?PeakValue
    {
        return $this->peaks[$quantity->value] ?? null;
    }

    /** Whether any current was seen to flow. */
    public function flowed(): bool
    {
        return self::isFlow($this->peak(Quantity::Amps)?->value, $this->peak(Quantity::Kw)?->value);
    }

    /** Whether these values are more than a screen may show when nothing flows. */
    public static function isFlow(?float $amps, ?float $kw): bool
    {
        return ($amps ?? 0.0) > self::SCREENS_ROUNDING_A || ($kw ?? 0.0) > self::SCREENS_ROUNDING_KW;
    }
}
