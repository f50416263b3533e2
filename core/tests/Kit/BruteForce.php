<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Kit\KitQuestion;

/** Every purchase of a size, each judged by the gates from the start. */
final readonly class BruteForce
{
    public function __construct(private KitQuestion $question)
    {
    }

    /** @return list<float|int|string> worth of the best purchase: pairs, second ways, kW, minus unknown prices, minus price */
    public function best(int $count): array
    {
        $best = [];
        foreach (self::subsets($this->question->candidates, $count) as $subset) {
            $worth = [...$this->worth([...$this->question->owned, ...$subset]), ...self::price($subset)];
            if ($best === [] || $worth > $best) {
                $best = $worth;
            }
        }

        return $best;
    }

    /**
     * @param  list<Adapter>  $kit
     * @return array{int, int, float}
     */
    public function worth(array $kit): array
    {
        $fitter = new Fitter($kit, $this->question->conditions, $this->question->policy);
        $charging = [];
        $kw = 0.0;
        foreach ($this->question->outlets as $at) {
            foreach ($this->question->vehicles as $vehicle) {
                $best = $fitter->answer($at->outlet, $vehicle)->best;
                if ($best->outcome === Outcome::Charges || $best->outcome === Outcome::Limited) {
                    $charging[] = [$vehicle->id, $at->outlet->id, $at->place];
                    $kw += $best->expectedPeakKw();
                }
            }
        }
        $second = count(array_filter($charging, fn (array $one): bool => array_filter($charging, fn (array $other): bool => $other[0] === $one[0] && $other[1] !== $one[1]
            && ($other[2] === $one[2] || ($this->question->travel->isTour && $this->outletsAt($one[2]) === 1))) !== []));

        return [count($charging), $second, round($kw, 2)];
    }

    private function outletsAt(string $place): int
    {
        return count(array_filter($this->question->outlets, static fn ($at): bool => $at->place === $place));
    }

    /**
     * @param  list<Adapter>  $pieces
     * @return array{int, float} the lower price is the greater
     */
    private static function price(array $pieces): array
    {
        $known = array_filter(array_map(static fn (Adapter $a): ?string => $a->handling->price, $pieces), is_string(...));

        return [count($known) - count($pieces), -array_sum($known)];
    }

    /**
     * @param  list<Adapter>  $pieces
     * @return list<list<Adapter>>
     */
    private static function subsets(array $pieces, int $count): array
    {
        if ($count === 0) {
            return [[]];
        }
        if (count($pieces) < $count) {
            return [];
        }
        $first = array_shift($pieces);

        return [...array_map(static fn (array $rest): array => [$first, ...$rest], self::subsets($pieces, $count - 1)), ...self::subsets($pieces, $count)];
    }
}
