<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\PlacedOutlet;

/** Every way of giving out a kit among cars that travel at once, place by place. Every car of the question travels. */
final readonly class SharedBruteForce
{
    public function __construct(private KitQuestion $question)
    {
    }

    /** @return array{int, int, float} worth of the best purchase of that many, several of a kind allowed */
    public function best(int $count): array
    {
        $purchases = [[]];
        for ($bought = 0; $bought < $count; $bought++) {
            $purchases = array_merge(...array_map(fn (array $before): array => array_map(static fn (Adapter $next): array => [...$before, $next], $this->question->candidates), $purchases));
        }

        return max(array_map(fn (array $bought): array => $this->worth([...$this->question->owned, ...$bought]), $purchases));
    }

    /**
     * @param  list<Adapter>  $kit
     * @return array{int, int, float} pairs, second ways, kW
     */
    public function worth(array $kit): array
    {
        $sum = [0, 0, 0.0];
        foreach (array_unique(array_map(static fn (PlacedOutlet $o): string => $o->place, $this->question->outlets)) as $place) {
            $best = max(array_map(fn (array $owners): array => $this->worthAt($place, $kit, $owners), self::assignments(count($kit), count($this->question->vehicles))));
            $sum = [$sum[0] + $best[0], $sum[1] + $best[1], $sum[2] + $best[2]];
        }

        return [$sum[0], $sum[1], round($sum[2], 2)];
    }

    /**
     * @param  list<Adapter>  $kit
     * @param  list<int>  $owners  number of the car that each piece goes to
     * @return array{int, int, float}
     */
    private function worthAt(string $place, array $kit, array $owners): array
    {
        [$covered, $second, $kw] = [0, 0, 0.0];
        foreach ($this->question->vehicles as $number => $vehicle) {
            $charging = $this->charging($place, $vehicle, array_values(array_filter($kit, static fn (int $piece): bool => $owners[$piece] === $number, ARRAY_FILTER_USE_KEY)));
            $covered += count($charging);
            $second += count($charging) >= 2 ? count($charging) : 0;
            $kw += array_sum($charging);
        }

        return [$covered, $second, round($kw, 6)];
    }

    /**
     * @param  list<Adapter>  $pieces  that this car has here
     * @return list<float> kW at each outlet where it charges
     */
    private function charging(string $place, Vehicle $vehicle, array $pieces): array
    {
        $fitter = new Fitter($pieces, $this->question->conditions, $this->question->policy);
        $kw = [];
        foreach ($this->question->outlets as $at) {
            $best = $fitter->answer($at->outlet, $vehicle)->best;
            if ($at->place === $place && $best->outcome->flow() === Flow::Yes) {
                $kw[] = (float) $best->expectedPeakKw();
            }
        }

        return $kw;
    }

    /** @return non-empty-list<list<int>> */
    private static function assignments(int $pieces, int $cars): array
    {
        $all = [[]];
        for ($piece = 0; $piece < $pieces; $piece++) {
            $all = array_merge(...array_map(static fn (array $before): array => array_map(static fn (int $car): array => [...$before, $car], range(0, $cars - 1)), $all));
        }

        return $all;
    }
}
