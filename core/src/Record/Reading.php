<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** What was read at one moment. Null is not read. Amps are per phase for AC; volts and amps are those at the plug. */
final readonly class Reading
{
    /** Characters. */
    public const LONGEST_SOURCE = 40;

    public const LONGEST_NOTE = 300;

    /**
     * @param  int  $tMs  milliseconds since plugging in
     * @param  array<value-of<Point>, float>  $celsius  by point
     * @param  string|null  $source  the instrument: car screen, charger screen, logger, thermometer, stand-in
     */
    public function __construct(
        public int $tMs,
        public ?float $socPct = null,
        public ?float $volts = null,
        public ?float $amps = null,
        public ?float $kw = null,
        public array $celsius = [],
        public ?string $source = null,
        public ?string $note = null,
    ) {
    }

    public function tS(): float
    {
        return $this->tMs / 1000;
    }

    public function holdsAnything(): bool
    {
        return $this->socPct !== null || $this->volts !== null || $this->amps !== null || $this->kw !== null || $this->celsius !== [];
    }
}
