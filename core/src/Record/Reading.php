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

    /** @return list<string> the quantities that may be read, as files and tables name them */
    public static function quantities(): array
    {
        return ['soc_pct', 'volts', 'amps', 'kw', ...array_map(static fn (Point $p): string => $p->value.'_c', Point::cases())];
    }

    /** @return list<float|null> what was read of each quantity, in their order */
    public function values(): array
    {
        return [$this->socPct, $this->volts, $this->amps, $this->kw, ...array_map(fn (Point $p): ?float => $this->celsius[$p->value] ?? null, Point::cases())];
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
