<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;

/** The smallest kit that reaches the most: for each number of pieces the best purchase, until nothing more is gained. */
final readonly class SmallestKit
{
    /** The most pieces of one purchase unless fewer are asked for. */
    public const MOST = 12;

    /**
     * @param  list<Purchase>  $purchases  of one piece, of two, and so on
     * @param  bool  $isExact  whether each is the best one for certain
     * @param  list<Adapter>  $notNeeded  owned pieces that no best answer uses
     * @param  list<Charged>  $charged  owned active adapters that reach more once their own battery is charged
     * @param  Kit  $kit  what is owned
     */
    private function __construct(public PairTable $table, public Worth $now, public array $purchases, public bool $isExact, public array $notNeeded, public array $charged, private Kit $kit)
    {
    }

    public static function of(KitQuestion $question, int $most = self::MOST): self
    {
        $table = PairTable::of($question);
        $free = FreeKit::owned($table, $question->travel->isTour);
        $kit = $question->travel->isTogether() ? SharedKit::owned($table, $question->travel->together, $question->travel->isTour) : $free;
        $search = new PurchaseSearch($kit, $free, self::units($table, $free, $question->travel->together), $table->pieces);
        $purchases = [];
        $before = $now = $kit->worth();
        for ($count = 1; $count <= $most; $count++) {
            $found = $search->best($count);
            if ($found === null || $found->worth->compare($before) <= 0) {
                break;
            }
            $purchases[] = self::purchase($found, $kit, $table, $search->isExact() && $kit->isExact() ? null : $search->coveredAtMost($count));
            $before = $found->worth;
        }

        return new self($table, $now, $purchases, $search->isExact() && $kit->isExact(), self::notNeeded($table), Charged::of($question, $kit), $kit);
    }

    /** @return list<Reached> pairs that charge with what is owned */
    public function reachedNow(): array
    {
        $reached = [];
        foreach ($this->table->pairs as $number => $pair) {
            $way = $this->kit->way($number);
            if ($way !== null) {
                $reached[] = new Reached($pair, $way);
            }
        }

        return $reached;
    }

    /** @return list<Pair> pairs that won't charge whatever is bought */
    public function never(): array
    {
        return array_values(array_filter($this->table->pairs, static fn (Pair $pair): bool => $pair->never !== null));
    }

    /** @return list<Pair> pairs that only an unread fact keeps open */
    public function open(): array
    {
        return array_values(array_filter($this->table->pairs, static fn (Pair $pair): bool => $pair->never === null && $pair->ways === []));
    }

    /**
     * Candidates that reach or speed up a pair and that no other candidate makes superfluous. Cars that travel at once
     * may need several of a kind.
     *
     * @param  list<string>  $together
     * @return list<int>
     */
    private static function units(PairTable $table, FreeKit $free, array $together): array
    {
        $useful = array_values(array_filter(
            array_keys(array_slice($table->pieces, $table->owned, preserve_keys: true)),
            static fn (int $piece): bool => $free->serves($piece) !== [] || self::carsServed($table, $piece, $together) > 1,
        ));
        $units = [];
        foreach ($useful as $piece) {
            if (array_filter($useful, static fn (int $other): bool => $other !== $piece && self::isDominated($piece, $other, $table)) === []) {
                $units = [...$units, ...array_fill(0, max(1, self::carsServed($table, $piece, $together)), $piece)];
            }
        }

        return $units;
    }

    /**
     * How many of the cars that travel at once charge better through this piece than without any.
     *
     * @param  list<string>  $together
     */
    private static function carsServed(PairTable $table, int $piece, array $together): int
    {
        $cars = [];
        foreach ($table->pairs as $pair) {
            $way = in_array($pair->vehicle->id, $together, true) ? $pair->through($piece) : null;
            if ($way !== null && $way->rank < ($pair->through(Reach::WITHOUT)->rank ?? PHP_INT_MAX)) {
                $cars[$pair->vehicle->id] = true;
            }
        }

        return count($cars);
    }

    /** Whether another candidate does everything this one does, as well or better, for no more money. */
    private static function isDominated(int $piece, int $other, PairTable $table): bool
    {
        $price = Price::of([$table->pieces[$other]])->compare(Price::of([$table->pieces[$piece]]));
        if ($price > 0) {
            return false;
        }
        $isEqual = $price === 0;
        foreach ($table->pairs as $pair) {
            $way = $pair->through($piece);
            $instead = $pair->through($other);
            if ($way !== null && ($instead === null || $instead->rank > $way->rank || $instead->kw < $way->kw)) {
                return false;
            }
            $isEqual = $isEqual && $way?->rank === $instead?->rank;
        }

        return ! $isEqual || $other < $piece;
    }

    private static function purchase(Found $found, Kit $kit, PairTable $table, ?int $coveredAtMost): Purchase
    {
        $newly = $faster = [];
        foreach ($table->pairs as $number => $pair) {
            [$now, $then] = [$kit->way($number), $found->kit->way($number)];
            if ($then === null) {
                continue;
            }
            if ($now === null) {
                $newly[] = new Reached($pair, $then);
            } elseif ($then->kw > $now->kw) {
                $faster[] = new Reached($pair, $then);
            }
        }

        return new Purchase(array_map(static fn (int $piece): Adapter => $table->pieces[$piece], $found->pieces), $found->worth, $newly, $faster, $found->price, $coveredAtMost);
    }

    /** @return list<Adapter> */
    private static function notNeeded(PairTable $table): array
    {
        $needed = [];
        foreach ($table->pairs as $pair) {
            if ($pair->needs !== null) {
                $needed[$pair->needs] = true;
            }
        }

        return array_values(array_filter(array_slice($table->pieces, 0, $table->owned), static fn (int $piece): bool => ! isset($needed[$piece]), ARRAY_FILTER_USE_KEY));
    }
}
