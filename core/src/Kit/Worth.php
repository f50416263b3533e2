<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** What a kit is worth: pairs that charge, then pairs with a second way, then the sum of their power. */
final readonly class Worth
{
    /** Decimals of the summed kW: rounding of sums never decides. */
    private const DECIMALS = 2;

    public float $kw;

    public function __construct(public int $covered, public int $second, float $kw)
    {
        $this->kw = round($kw, self::DECIMALS);
    }

    /** Positive when this is worth more. */
    public function compare(self $other): int
    {
        return [$this->covered, $this->second, $this->kw] <=> [$other->covered, $other->second, $other->kw];
    }
}
