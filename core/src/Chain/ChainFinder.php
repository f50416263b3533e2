<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/**
 * Every chain whose shapes mate, from an outlet through a kit to each inlet of a vehicle, in the order of the kit: direct,
 * through the station's own adapter, and through one of the kit. Stacks are found so that they can be refused.
 */
final class ChainFinder
{
    /** How many loose adapters are tried in a row: two are enough to find a temptation and refuse it. */
    private const DEEPEST_STACK = 2;

    /** @var array<string, list<Adapter>> kit by the shapes that go into its charger side */
    private array $byInput = [];

    private ?Outlet $lastOutlet = null;

    /** @var list<array{list<Adapter>, Coupler}> */
    private array $lastPaths = [];

    /** @param  list<Adapter>  $kit */
    public function __construct(array $kit)
    {
        foreach ($kit as $adapter) {
            $this->byInput[$adapter->input->id][] = $adapter;
            $half = $adapter->input->family->acHalf();
            if ($half !== null) {
                $this->byInput[$half->value][] = $adapter;
            }
        }
    }

    /**
     * With one adapter at most, the station's own included. Where nothing fits an inlet, the direct pair represents it.
     *
     * @return non-empty-list<Chain>
     */
    public function chains(Outlet $outlet, Vehicle $vehicle): array
    {
        $chains = $this->mating($this->pathsFrom($outlet), $outlet, $vehicle);
        $served = array_map(static fn (Chain $c): int => $c->inletIndex, $chains);
        foreach (array_diff(array_keys($vehicle->inlets), $served) as $index) {
            $chains[] = new Chain($outlet, [], $vehicle, $index);
        }

        return $chains !== [] ? $chains : throw new \LogicException('a vehicle has an inlet');
    }

    /** @return list<Chain> with more than one adapter, the station's own included */
    public function stacks(Outlet $outlet, Vehicle $vehicle): array
    {
        $paths = $this->extend([[[], $outlet->coupler]], self::DEEPEST_STACK);
        $attached = $outlet->fittings->attachedAdapter;
        if ($attached !== null) {
            $paths = [...$paths, ...$this->extend([[[$attached], $attached->output]], self::DEEPEST_STACK)];
        }

        // Nobody stacks by mistake what would have to be bought first.
        $atHand = array_filter($paths, static fn (array $path): bool => count($path[0]) > 1 && array_filter($path[0], static fn (Adapter $a): bool => $a->handling->isForSale) === []);

        return $this->mating(array_values($atHand), $outlet, $vehicle);
    }

    /**
     * @param  list<array{list<Adapter>, Coupler}>  $paths
     * @return list<Chain>
     */
    private function mating(array $paths, Outlet $outlet, Vehicle $vehicle): array
    {
        $chains = [];
        foreach ($paths as [$adapters, $connector]) {
            foreach ($vehicle->inlets as $index => $inlet) {
                if ($inlet->coupler->takes($connector)) {
                    $chains[] = new Chain($outlet, $adapters, $vehicle, $index);
                }
            }
        }

        return $chains;
    }

    /**
     * The paths from an outlet with one adapter at most. Cached for the last outlet, since a board asks for every car
     * at each.
     *
     * @return list<array{list<Adapter>, Coupler}> adapters and the shape they end in
     */
    private function pathsFrom(Outlet $outlet): array
    {
        if ($this->lastOutlet !== $outlet) {
            $attached = $outlet->fittings->attachedAdapter;
            $direct = [[], $outlet->coupler];
            $loose = array_slice($this->extend([$direct], 1), 1);
            [$this->lastOutlet, $this->lastPaths] = [$outlet, [$direct, ...($attached === null ? [] : [[[$attached], $attached->output]]), ...$loose]];
        }

        return $this->lastPaths;
    }

    /**
     * @param  list<array{list<Adapter>, Coupler}>  $paths  adapters so far and the shape they end in
     * @return list<array{list<Adapter>, Coupler}>
     */
    private function extend(array $paths, int $deepest): array
    {
        $all = $ends = $paths;
        for ($depth = 0; $depth < $deepest; $depth++) {
            $longer = [];
            foreach ($ends as [$adapters, $connector]) {
                foreach ($this->byInput[$connector->id] ?? [] as $next) {
                    if (! in_array($next, $adapters, true)) {
                        $longer[] = [[...$adapters, $next], $next->output];
                    }
                }
            }
            $all = [...$all, ...$longer];
            $ends = $longer;
        }

        return $all;
    }
}
