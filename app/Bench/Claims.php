<?php

declare(strict_types=1);

namespace App\Bench;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * What docs/figures.md promises for a bench, in the third column of its table: `median ≤ 45 ms`, `rate ≥ 1500`. The
 * words before the sign are the names of the bench's own figures.
 */
final readonly class Claims
{
    private const CLAIM = '/(\w+) ([≤≥]) ([\d.]+)/u';

    /** @param  array<string, list<array{string, string, float}>>  $ofBench  name of a figure, sign and limit, bench by bench */
    private function __construct(private array $ofBench)
    {
    }

    /** @param  string  $text  Markdown */
    public static function in(string $text): self
    {
        $ofBench = [];
        foreach (explode("\n", $text) as $line) {
            $cells = array_map(trim(...), explode('|', $line));
            if (preg_match('/`php artisan harmozon:bench (\w+)`/', $line, $bench) === 1 && count($cells) === 6) {
                preg_match_all(self::CLAIM, $cells[3], $claims, PREG_SET_ORDER);
                $ofBench[$bench[1]] = array_map(static fn (array $c): array => [$c[1], $c[2], (float) $c[3]], $claims);
            }
        }

        return new self($ofBench);
    }

    /**
     * @param  list<Message>  $lines  of a bench
     * @return list<Message> what does not hold, and what is promised of a figure that the bench has not
     */
    public function broken(string $bench, array $lines): array
    {
        $figures = array_merge(...array_map(static fn (Message $line): array => $line->figures, array_reverse($lines)));
        $broken = [];
        foreach ($this->ofBench[$bench] ?? [] as [$name, $sign, $limit]) {
            $figure = $figures[$name] ?? null;
            $value = $figure instanceof Amount ? $figure->value : null;
            $isKept = $value !== null && ($sign === '≤' ? $value <= $limit : $value >= $limit);
            if (! $isKept) {
                $broken[] = Message::of('bench.claim_broken', name: $name, sign: $sign, limit: Amount::asGiven($limit), value: Amount::asGiven($value));
            }
        }

        return $broken;
    }

    /** How many promises there are for a bench. */
    public function count(string $bench): int
    {
        return count($this->ofBench[$bench] ?? []);
    }
}
