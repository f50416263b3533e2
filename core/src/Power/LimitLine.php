<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** A limit as a straight line over the state of charge, seen from one state of charge on. */
final readonly class LimitLine
{
    /** Limits closer than this share of the power are one limit. */
    private const SAME = 1e-9;

    /** Slopes closer than this (kW per percent) are one slope. */
    private const LEVEL = 1e-9;

    /** The shortest span of charge (percent) to follow a line for, so that a forecast always makes progress. */
    private const LEAST_PERCENT = 1e-7;

    public function __construct(public float $kw, public float $kwPerPercent, public BindingCode $code, public string $linkId)
    {
    }

    /**
     * Of two limits at the same power, the one that falls away faster binds next; of two that stay together, the one that
     * is not the vehicle's own is named, since it is what could be changed.
     */
    public function isBelow(self $other): bool
    {
        $same = self::SAME * max(1.0, abs($other->kw));

        return match (true) {
            $this->kw < $other->kw - $same => true,
            $this->kw > $other->kw + $same => false,
            abs($this->kwPerPercent - $other->kwPerPercent) > self::LEVEL => $this->kwPerPercent < $other->kwPerPercent,
            default => $this->code->precedence() < $other->code->precedence(),
        };
    }

    /**
     * The lowest of the lines.
     *
     * @param  non-empty-list<self>  $lines
     */
    public static function lowest(array $lines): self
    {
        $lowest = $lines[0];
        foreach ($lines as $line) {
            if ($line->isBelow($lowest)) {
                $lowest = $line;
            }
        }

        return $lowest;
    }

    /**
     * How much charge (percent) this line stays the lowest of them for; INF when it always does.
     *
     * @param  list<self>  $lines
     */
    public function lowestForPercent(array $lines): float
    {
        $percent = INF;
        foreach ($lines as $line) {
            if ($line->kwPerPercent < $this->kwPerPercent - self::LEVEL) {
                $crossing = max(0.0, $line->kw - $this->kw) / ($this->kwPerPercent - $line->kwPerPercent);
                $percent = min($percent, max($crossing, self::LEAST_PERCENT));
            }
        }

        return $percent;
    }
}
