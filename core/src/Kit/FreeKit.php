<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** A kit whose pieces are there for every car: cars travel one at a time. */
final readonly class FreeKit implements Kit
{
    /**
     * @param  array<int, list<array{int, Reach}>>  $byPiece  pairs that a piece serves, and how
     * @param  array<int, Reach|null>  $ways  by pair
     * @param  array<int, int>  $coveredByGroup
     */
    private function __construct(
        private PairGroups $groups,
        private array $byPiece,
        private array $ways,
        private array $coveredByGroup,
        public int $covered,
        private float $kw,
    ) {
    }

    /** @param  bool  $isTour  whether another stop is a second way */
    public static function owned(PairTable $table, bool $isTour): self
    {
        $groups = PairGroups::of($table->pairs, $isTour);
        $byPiece = $ways = [];
        $coveredByGroup = array_fill(0, $groups->count(), 0);
        $covered = 0;
        $kw = 0.0;
        foreach ($table->pairs as $number => $pair) {
            $best = $pair->best($table->owned);
            $ways[] = $best;
            foreach ($pair->ways as $way) {
                if ($way->piece >= $table->owned && $way->rank < ($best === null ? PHP_INT_MAX : $best->rank)) {
                    $byPiece[$way->piece][] = [$number, $way];
                }
            }
            if ($best !== null) {
                $covered++;
                $kw += $best->kw;
                $coveredByGroup[$groups->of[$number]]++;
            }
        }

        return new self($groups, $byPiece, $ways, $coveredByGroup, $covered, $kw);
    }

    /** @return list<array{int, Reach}> pairs that a piece would serve better than what is owned, and how */
    public function serves(int $piece): array
    {
        return $this->byPiece[$piece] ?? [];
    }

    public function plus(int $piece): self
    {
        [$ways, $byGroup, $covered, $kw] = [$this->ways, $this->coveredByGroup, $this->covered, $this->kw];
        foreach ($this->byPiece[$piece] ?? [] as [$pair, $way]) {
            $now = $ways[$pair];
            if ($now !== null && $now->rank <= $way->rank) {
                continue;
            }
            if ($now === null) {
                $covered++;
                $byGroup[$this->groups->of[$pair]]++;
            }
            $kw += $way->kw - ($now === null ? 0.0 : $now->kw);
            $ways[$pair] = $way;
        }

        return new self($this->groups, $this->byPiece, $ways, $byGroup, $covered, $kw);
    }

    /** Pairs that only charge with this piece. */
    public function gain(int $piece): int
    {
        $gain = 0;
        foreach ($this->byPiece[$piece] ?? [] as [$pair]) {
            $gain += $this->ways[$pair] === null ? 1 : 0;
        }

        return $gain;
    }

    public function worth(): Worth
    {
        return new Worth($this->covered, $this->groups->second($this->coveredByGroup), $this->kw);
    }

    public function isExact(): bool
    {
        return true;
    }

    /**
     * The most that this kit and some more pieces can be worth: a pair's power counts at its highest.
     *
     * @param  list<int>  $pieces
     */
    public function atMost(array $pieces): Worth
    {
        $all = $this;
        $kw = array_map(static fn (?Reach $way): float => $way === null ? 0.0 : $way->kw, $this->ways);
        foreach (array_unique($pieces) as $piece) {
            $all = $all->plus($piece);
            foreach ($this->byPiece[$piece] ?? [] as [$pair, $way]) {
                $kw[$pair] = max($kw[$pair], $way->kw);
            }
        }

        return new Worth($all->covered, $all->worth()->second, array_sum($kw));
    }

    public function way(int $pair): ?Reach
    {
        return $this->ways[$pair];
    }
}
