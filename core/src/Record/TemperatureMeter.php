<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** Keeps the hottest reading and the highest rise over ambient at each point. */
final class TemperatureMeter
{
    /** @var array<value-of<Point>, float> */
    private array $hottestC = [];

    /** @var array<value-of<Point>, float> */
    private array $highestRiseK = [];

    /** How long an ambient reading stays valid (s). */
    public const AMBIENT_LASTS_S = 1800.0;

    private ?float $ambientC = null;

    private float $ambientS = 0.0;

    public function add(Reading $reading): void
    {
        if (isset($reading->celsius[Point::Ambient->value])) {
            $this->ambientC = $reading->celsius[Point::Ambient->value];
            $this->ambientS = $reading->tS();
        } elseif ($reading->tS() - $this->ambientS > self::AMBIENT_LASTS_S) {
            $this->ambientC = null;
        }
        foreach ($reading->celsius as $point => $celsius) {
            if ($point === Point::Ambient->value) {
                continue;
            }
            $this->hottestC[$point] = max($this->hottestC[$point] ?? $celsius, $celsius);
            if ($this->ambientC !== null) {
                $rise = $celsius - $this->ambientC;
                $this->highestRiseK[$point] = max($this->highestRiseK[$point] ?? $rise, $rise);
            }
        }
    }

    /** @return list<Point> points that were read at all */
    public function points(): array
    {
        return array_values(array_filter(Point::cases(), fn (Point $p): bool => isset($this->hottestC[$p->value])));
    }

    public function hottestC(Point $point): ?float
    {
        return $this->hottestC[$point->value] ?? null;
    }

    /** The highest rise above an ambient reading no older than half an hour; null without one: ambient is never assumed. */
    public function highestRiseK(Point $point): ?float
    {
        return $this->highestRiseK[$point->value] ?? null;
    }
}
