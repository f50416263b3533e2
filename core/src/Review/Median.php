<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

/** The value in the middle; of an even number the mean of the two there. */
final class Median
{
    /**
     * @param  array<array-key, float|null>  $values  null counts as not there
     * @return ($values is non-empty-array<float> ? float : float|null) null of none
     */
    public static function of(array $values): ?float
    {
        $known = array_values(array_filter($values, static fn (?float $v): bool => $v !== null));
        sort($known);
        $half = intdiv(count($known), 2);

        return match (true) {
            $known === [] => null,
            count($known) % 2 === 1 => $known[$half],
            default => ($known[$half - 1] + $known[$half]) / 2,
        };
    }
}
