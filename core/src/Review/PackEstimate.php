<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Power\ColdFactor;

/** A cold battery's temperature, estimated from its power: a line through the readings, since it warms evenly. */
final readonly class PackEstimate
{
    /** Closer to the ends of the cold factor, a reading says nothing about temperature. */
    private const LEAST_FACTOR = 0.16;

    private const MOST_FACTOR = 0.98;

    private const FEWEST = 3;

    private const SAME = 1e-9;

    private function __construct(private float $atStartC, private float $kPerS)
    {
    }

    /**
     * @param  list<ReferencePoint>  $referencePoints  with current, while it was cold
     * @return self|null null where too few of them show a temperature
     */
    public static function of(array $referencePoints): ?self
    {
        $n = $t = $c = $tt = $tc = 0.0;
        foreach ($referencePoints as $referencePoint) {
            $factor = $referencePoint->carKw === null || $referencePoint->carKw <= 0.0 || $referencePoint->moment->kw === null ? 0.0 : $referencePoint->moment->kw / $referencePoint->carKw;
            if ($factor < self::LEAST_FACTOR || $factor > self::MOST_FACTOR) {
                continue;
            }
            $celsius = ColdFactor::celsiusAt($factor);
            $n++;
            $t += $referencePoint->moment->tS;
            $c += $celsius;
            $tt += $referencePoint->moment->tS ** 2;
            $tc += $referencePoint->moment->tS * $celsius;
        }
        $spread = $n * $tt - $t ** 2;
        if ($n < self::FEWEST || $spread < self::SAME) {
            return null;
        }
        // It does not cool while it charges.
        $kPerS = max(0.0, ($n * $tc - $t * $c) / $spread);

        return new self(($c - $kPerS * $t) / $n, $kPerS);
    }

    public function celsiusAt(float $tS): float
    {
        return $this->atStartC + $this->kPerS * $tS;
    }
}
