<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Adapter;
use App\Models\Network;
use App\Models\Outlet;
use App\Models\Vehicle;
use App\Models\Wish;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Case\VettingReader;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Equipment\Adapter as CoreAdapter;
use Harmozon\Core\Equipment\NetworkSetUp;
use Harmozon\Core\Equipment\Outlet as CoreOutlet;
use Harmozon\Core\Equipment\OutletGroup;
use Harmozon\Core\Equipment\Vehicle as CoreVehicle;
use Harmozon\Core\Json\Node;
use Illuminate\Support\Collection;

/** Reads stored pieces for the core, exactly as a case file is read. */
final class PieceReader
{
    public function __construct(private readonly EquipmentReader $reader)
    {
    }

    public function vehicle(Vehicle $vehicle): CoreVehicle
    {
        return $this->reader->vehicle(Node::of($vehicle->inCaseFile(), 'vehicle'));
    }

    public function outlet(Outlet $outlet): CoreOutlet
    {
        return $this->reader->outlet(Node::of($outlet->inCaseFile(), 'outlet'));
    }

    /** @param  \stdClass  $plate  of an outlet, as it is stored */
    public function group(\stdClass $plate): OutletGroup
    {
        return $this->reader->group(Node::of((array) $plate, 'outlet'));
    }

    public function adapter(Adapter $adapter): CoreAdapter
    {
        return $this->reader->adapter(Node::of($adapter->inCaseFile(), 'adapter'));
    }

    public function wish(Wish $wish): CoreAdapter
    {
        return (new VettingReader($this->reader))->adapter(Node::of($wish->inCaseFile(), 'wish'), $wish->name);
    }

    /**
     * @param  Collection<int, Adapter>  $adapters
     * @return list<CoreAdapter>
     */
    public function kit(Collection $adapters): array
    {
        return array_values($adapters->map($this->adapter(...))->all());
    }

    /**
     * @param  string  $kit  `own`, `buy` (with what could be bought) or `none`
     * @param  bool  $areKinds  whether it is looked at beside kinds of charger: their sockets come with the usual portable supply
     * @return list<CoreAdapter>
     */
    public function chosen(string $kit, bool $areKinds, Catalogue $catalogue): array
    {
        $own = $kit === 'none' ? [] : $this->kit($this->adapters());

        return match (true) {
            $kit === 'none' => [],
            $kit === 'buy' => [...$own, ...$catalogue->forSale()],
            $areKinds => [...$own, ...$catalogue->suppliesBeside($own)],
            default => $own,
        };
    }

    /** @return list<NetworkSetUp> what is set up, or not, at the networks */
    public function networks(): array
    {
        return array_values(Network::inOrder()->map(fn (Network $n): NetworkSetUp => $this->reader->network(Node::of($n->inCaseFile(), 'network')))->all());
    }

    /** @return Collection<int, Adapter> the whole crate, in its order */
    public function adapters(): Collection
    {
        return Adapter::inOrder();
    }
}
