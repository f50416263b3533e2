<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CopyWithChanges;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\AdapterPolicy;

/** Cars, chargers, the adapters that are owned and those that could be bought. */
final readonly class KitQuestion
{
    use CopyWithChanges;

    /**
     * @param  list<Vehicle>  $vehicles
     * @param  list<PlacedOutlet>  $outlets
     * @param  list<Adapter>  $owned
     * @param  list<Adapter>  $candidates  each could be bought
     * @param  string|null  $currency  of the prices (ISO 4217); null when not known
     */
    public function __construct(
        public array $vehicles,
        public array $outlets,
        public array $owned,
        public array $candidates,
        public AdapterPolicy $policy,
        public Conditions $conditions,
        public Travel $travel = new Travel,
        public ?string $currency = null,
    ) {
    }

    /**
     * The same question with these pieces owned, and nothing to buy.
     *
     * @param  list<Adapter>  $owned
     */
    public function withPieces(array $owned): self
    {
        return $this->with(owned: $owned, candidates: []);
    }

    /**
     * The same question with these to buy.
     *
     * @param  list<Adapter>  $candidates
     */
    public function withCandidates(array $candidates): self
    {
        return $this->with(candidates: $candidates);
    }
}
