<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/**
 * Every chain whose shapes mate, from an outlet through a kit to each inlet of a vehicle: direct, with one adapter, and
 * with two stacked (found so that they can be refused). Where nothing mates at an inlet, the direct pair stands for it.
 */
final class ChainFinder
{
    /** How many loose adapters are tried in a row: two are enough to find a temptation and refuse it. */
    private const DEEPEST_STACK = 2;

    /** At most one adapter in all, the station's own included. */
    public const UNSTACKED = 1;

    /** @var array<string, list<Adapter>> kit by the shape of its charger side */
    private array $byInput = [];

    private ?Outlet $lastOutlet = null;

    private ?int $lastMost = null;

    /** @var list<array{list<Adapter>, Coupler}> */
    private array $lastPaths = [];

    /** @param  list<Adapter>  $kit */
    public function __construct(array $kit)
    {
        foreach ($kit as $adapter) {
            $this->byInput[$adapter->input->id][] = $adapter;
        }
    }

    /**
     * @param  int|null  $most  most adapters in a chain, the station's own included; null for as many as are tried
     * @return non-empty-list<Chain>
     */
    public function chains(Outlet $outlet, Vehicle $vehicle, ?int $most = null): array
    {
        $paths = $this->pathsFrom($outlet, $most);
        $chains = [];
        foreach ($vehicle->inlets as $index => $inlet) {
            $mates = [];
            foreach ($paths as [$adapters, $connector]) {
                if ($inlet->coupler->takes($connector)) {
                    $mates[] = new Chain($outlet, $adapters, $vehicle, $index);
                }
            }
            array_push($chains, ...($mates === [] ? [new Chain($outlet, [], $vehicle, $index)] : $mates));
        }

        return $chains;
    }

    /**
     * Every way through the kit from an outlet. Kept for the outlet asked about last: a board asks for its every car.
     *
     * @return list<array{list<Adapter>, Coupler}> adapters and the shape they end in
     */
    private function pathsFrom(Outlet $outlet, ?int $most): array
    {
        if ($this->lastOutlet !== $outlet || $this->lastMost !== $most) {
            $paths = $this->extend([[[], $outlet->coupler]], $most ?? self::DEEPEST_STACK);
            if ($outlet->attachedAdapter !== null) {
                $attached = $outlet->attachedAdapter;
                $paths = [...$paths, ...$this->extend([[[$attached], $attached->output]], $most === null ? self::DEEPEST_STACK : $most - 1)];
            }
            [$this->lastOutlet, $this->lastMost, $this->lastPaths] = [$outlet, $most, $paths];
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
