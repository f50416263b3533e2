<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Adapter;

/**
 * An adapter that isn't known to limit the current itself, in a chain whose other links can carry more than its
 * continuous rating.
 */
final readonly class UnlimitedAdapter
{
    /** More by no more than this share is rounding. */
    private const SAME = 1e-9;

    /**
     * @param  float  $continuousA  of its plate
     * @param  float  $couldA  the most that the rest of the chain could carry
     */
    private function __construct(public Adapter $adapter, public float $continuousA, public float $couldA)
    {
    }

    /** @return self|null for the first such adapter; null when there is none */
    public static function of(Chain $chain, LimitSet $limits, float $fromSoc, float $toSoc): ?self
    {
        foreach ($chain->adapters as $adapter) {
            $continuousA = $adapter->rating->plate->continuousA;
            if ($continuousA === null || $adapter->holdsBack()) {
                continue;
            }
            $couldA = $limits->without($adapter->id)->mostA($fromSoc, $toSoc);
            if ($couldA !== null && $couldA > $continuousA * (1 + self::SAME)) {
                return new self($adapter, $continuousA, $couldA);
            }
        }

        return null;
    }
}
