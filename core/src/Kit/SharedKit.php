<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/**
 * A kit for cars that travel at once: at each place every piece serves one of them. Pieces are given out place by place
 * so that most pairs charge, then most have a second way, then the power is highest.
 */
final class SharedKit implements Kit
{
    /** The most ways of giving out pieces at one place that are all tried. */
    private const MOST_TRIED = 4096;

    private ?Worth $worth = null;

    /** @var list<Reach|null>|null */
    private ?array $ways = null;

    /**
     * @param  list<int>  $pieces  those in the kit; a second one of a kind is there twice
     * @param  list<SharedPlace>  $places  where cars that travel together charge
     * @param  Handouts  $known  shared by this kit and every one that grows from it
     */
    private function __construct(private readonly PairTable $table, private readonly PairGroups $groups, private readonly array $pieces, private readonly array $places, private readonly Handouts $known)
    {
    }

    /** @param  list<string>  $together  ids of cars */
    public static function owned(PairTable $table, array $together, bool $isTour): self
    {
        // Given out place by place, pieces may not leave the most second ways along a whole tour.
        return new self($table, PairGroups::of($table->pairs, $isTour), $table->owned === 0 ? [] : range(0, $table->owned - 1), SharedPlace::all($table, $together), new Handouts(! $isTour));
    }

    public function plus(int $piece): self
    {
        return new self($this->table, $this->groups, [...$this->pieces, $piece], $this->places, $this->known);
    }

    public function worth(): Worth
    {
        return $this->worth ??= $this->worthOf($this->ways());
    }

    public function way(int $pair): ?Reach
    {
        return $this->ways()[$pair];
    }

    public function isExact(): bool
    {
        return $this->known->isExact;
    }

    /** @return list<Reach|null> by pair */
    private function ways(): array
    {
        if ($this->ways === null) {
            $has = array_fill_keys([Reach::WITHOUT, ...$this->pieces], true);
            $ways = array_map(static fn (Pair $pair): ?Reach => self::bestOf($pair, $has), $this->table->pairs);
            foreach ($this->places as $number => $place) {
                $matter = $place->serving($this->pieces);
                $ways = array_replace($ways, $this->known->ways[$number.':'.implode(',', $matter)] ??= $this->given($place, $matter));
            }
            $this->ways = array_values($ways);
        }

        return $this->ways;
    }

    /**
     * @param  list<int>  $pieces  those that serve any of the cars there
     * @return array<int, Reach|null> by pair
     */
    private function given(SharedPlace $place, array $pieces): array
    {
        $pairs = $place->pairs;
        $choices = array_map(static fn (int $piece): array => $place->cars[$piece], $pieces);
        $count = array_product(array_map(count(...), $choices));
        if ($count > self::MOST_TRIED) {
            $this->known->isExact = false;

            return $this->givenGreedily($pairs, $pieces, $choices);
        }
        [$best, $worth] = [null, null];
        for ($try = 0; $try < $count; $try++) {
            $owners = [];
            $rest = $try;
            foreach ($choices as $number => $possible) {
                $owners[$number] = $possible[$rest % count($possible)];
                $rest = intdiv($rest, count($possible));
            }
            $ways = $this->served($pairs, $pieces, $owners);
            $next = $this->worthAt($ways);
            if ($worth === null || $next->compare($worth) > 0) {
                [$best, $worth] = [$ways, $next];
            }
        }

        return $best ?? [];
    }

    /**
     * Each piece in turn goes to the car to which it is worth most.
     *
     * @param  list<int>  $pairs
     * @param  list<int>  $pieces
     * @param  list<list<array-key>>  $choices
     * @return array<int, Reach|null> by pair
     */
    private function givenGreedily(array $pairs, array $pieces, array $choices): array
    {
        $owners = [];
        $best = $this->served($pairs, [], []);
        foreach ($choices as $number => $possible) {
            $worth = null;
            $taker = $possible[0] ?? '';
            foreach ($possible as $car) {
                $ways = $this->served($pairs, array_slice($pieces, 0, $number + 1), [...$owners, $car]);
                $next = $this->worthAt($ways);
                if ($worth === null || $next->compare($worth) > 0) {
                    [$best, $worth, $taker] = [$ways, $next, $car];
                }
            }
            $owners[] = $taker;
        }

        return $best;
    }

    /**
     * @param  list<int>  $pairs
     * @param  list<int>  $pieces
     * @param  array<int, array-key>  $owners  the car that each piece is given to
     * @return array<int, Reach|null> by pair
     */
    private function served(array $pairs, array $pieces, array $owners): array
    {
        $has = [];
        foreach ($pieces as $number => $piece) {
            $has[$owners[$number]][$piece] = true;
        }
        $ways = [];
        foreach ($pairs as $pair) {
            $car = $this->table->pairs[$pair]->vehicle->id;
            $ways[$pair] = self::bestOf($this->table->pairs[$pair], [Reach::WITHOUT => true] + ($has[$car] ?? []));
        }

        return $ways;
    }

    /** @param  array<int, true>  $has  pieces */
    private static function bestOf(Pair $pair, array $has): ?Reach
    {
        foreach ($pair->ways as $way) {
            if (isset($has[$way->piece])) {
                return $way;
            }
        }

        return null;
    }

    /** @param  array<int, Reach|null>  $ways  of one place */
    private function worthAt(array $ways): Worth
    {
        $byGroup = [];
        foreach ($ways as $pair => $way) {
            if ($way !== null) {
                $byGroup[$this->groups->of[$pair]] = ($byGroup[$this->groups->of[$pair]] ?? 0) + 1;
            }
        }
        $second = array_sum(array_filter($byGroup, static fn (int $count): bool => $count >= 2));

        return new Worth(array_sum($byGroup), $second, self::kw($ways));
    }

    /** @param  list<Reach|null>  $ways */
    private function worthOf(array $ways): Worth
    {
        $byGroup = array_fill(0, $this->groups->count(), 0);
        foreach ($ways as $pair => $way) {
            $byGroup[$this->groups->of[$pair]] += $way === null ? 0 : 1;
        }

        return new Worth(array_sum($byGroup), $this->groups->second($byGroup), self::kw($ways));
    }

    /** @param  array<int, Reach|null>  $ways */
    private static function kw(array $ways): float
    {
        return array_sum(array_map(static fn (?Reach $way): float => $way === null ? 0.0 : $way->kw, $ways));
    }
}
