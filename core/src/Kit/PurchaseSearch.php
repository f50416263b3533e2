<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;

/**
 * Finds the best purchase of a number of pieces: exactly by branch and bound for a few candidates, else greedily. A kit
 * for cars that travel one at a time bounds one for cars that travel together, since every piece then serves them all.
 */
final class PurchaseSearch
{
    /** The most candidates for an exact search. */
    public const MOST_EXACT = 20;

    private ?Found $best = null;

    /**
     * @param  list<int>  $units  candidates that are worth considering; a kind that may be bought twice is there twice
     * @param  list<Adapter>  $pieces  of the question
     */
    public function __construct(private readonly Kit $kit, private readonly FreeKit $bound, private readonly array $units, private readonly array $pieces)
    {
    }

    public function isExact(): bool
    {
        return count($this->units) <= self::MOST_EXACT;
    }

    /** @return Found|null null where there are fewer candidates */
    public function best(int $count): ?Found
    {
        if ($count > count($this->units)) {
            return null;
        }
        $this->best = $this->greedy($count);
        if ($this->isExact()) {
            $this->branch(0, $count, [], $this->kit, $this->bound);
        }

        return $this->best;
    }

    /** The most pairs that any purchase of so many pieces can reach. */
    public function coveredAtMost(int $count): int
    {
        $most = PHP_INT_MAX;
        $bound = $this->bound;
        $left = $this->units;
        for ($step = 0; $step <= $count; $step++) {
            $most = min($most, $bound->covered + self::highest($this->gains($bound, $left), $count));
            if ($left === []) {
                break;
            }
            $gains = $this->gains($bound, $left);
            arsort($gains);
            $next = (int) array_key_first($gains);
            $bound = $bound->plus($left[$next]);
            unset($left[$next]);
        }

        return $most;
    }

    private function greedy(int $count): Found
    {
        [$chosen, $kit, $left] = [[], $this->kit, $this->units];
        for ($step = 0; $step < $count; $step++) {
            $next = $at = null;
            foreach ($left as $place => $unit) {
                $found = Found::of([...$chosen, $unit], $kit->plus($unit), $this->pieces);
                if ($found->isBetterThan($next)) {
                    [$next, $at] = [$found, $place];
                }
            }
            if ($next !== null && $at !== null) {
                [$chosen, $kit] = [$next->pieces, $next->kit];
                unset($left[$at]);
            }
        }

        return Found::of($chosen, $kit, $this->pieces);
    }

    /** @param  list<int>  $chosen */
    private function branch(int $from, int $left, array $chosen, Kit $kit, FreeKit $bound): void
    {
        if ($left === 0) {
            $found = Found::of($chosen, $kit, $this->pieces);
            if ($found->isBetterThan($this->best)) {
                $this->best = $found;
            }

            return;
        }
        for ($at = $from; $at <= count($this->units) - $left; $at++) {
            $unit = $this->units[$at];
            // A second piece of a kind is only bought with the first.
            if ($at > $from && $this->units[$at - 1] === $unit) {
                continue;
            }
            if ($this->isHopeless(array_slice($this->units, $at), $left, $chosen, $bound)) {
                return;
            }
            $this->branch($at + 1, $left - 1, [...$chosen, $unit], $kit->plus($unit), $bound->plus($unit));
        }
    }

    /**
     * Whether no choice among these units can beat the best one so far.
     *
     * @param  list<int>  $units
     * @param  list<int>  $chosen
     */
    private function isHopeless(array $units, int $left, array $chosen, FreeKit $bound): bool
    {
        if ($this->best === null) {
            return false;
        }
        $covered = $bound->covered + self::highest($this->gains($bound, $units), $left);
        if ($covered !== $this->best->worth->covered) {
            return $covered < $this->best->worth->covered;
        }
        $most = $bound->atMost($units);
        $beats = (new Worth($covered, $most->second, $most->kw))->compare($this->best->worth);

        return $beats < 0 || ($beats === 0 && $this->lowestPrice($units, $left, $chosen)->compare($this->best->price) >= 0);
    }

    /**
     * @param  list<int>  $units
     * @param  list<int>  $chosen
     */
    private function lowestPrice(array $units, int $left, array $chosen): Price
    {
        usort($units, fn (int $a, int $b): int => Price::of([$this->pieces[$a]])->compare(Price::of([$this->pieces[$b]])));

        return Price::of(array_map(fn (int $unit): Adapter => $this->pieces[$unit], [...$chosen, ...array_slice($units, 0, $left)]));
    }

    /**
     * @param  array<int, int>  $units
     * @return array<int, int> pairs that each would add, by the unit's place in the list
     */
    private function gains(FreeKit $kit, array $units): array
    {
        return array_map($kit->gain(...), $units);
    }

    /** @param  array<int, int>  $gains */
    private static function highest(array $gains, int $count): int
    {
        rsort($gains);

        return array_sum(array_slice($gains, 0, $count));
    }
}
