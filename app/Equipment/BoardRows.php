<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use App\Models\Tour;
use Illuminate\Support\Collection;

/**
 * The rows of a board: the garage's outlets, or, while it has none, the catalogue's kinds of charger, so that a new car has
 * an answer before any place is entered.
 */
final class BoardRows
{
    public function __construct(private readonly KindRows $kinds)
    {
    }

    public function areKinds(): bool
    {
        return Outlet::query()->whereHas('place')->doesntExist();
    }

    /** @return Collection<int, Outlet> */
    public function inOrder(): Collection
    {
        return $this->areKinds() ? $this->kinds->inOrder() : Outlet::inOrder();
    }

    /**
     * @param  list<string>  $ids  public ids
     * @return Collection<int, Outlet>
     */
    public function those(array $ids): Collection
    {
        $kinds = array_values(array_filter($ids, KindRows::isKind(...)));

        return $kinds === [] ? Outlet::inOrder($ids) : $this->kinds->inOrder()->whereIn('ulid', $kinds)->values();
    }

    /** @return Collection<int, Outlet> a number from the top, place by place */
    public function top(int $most): Collection
    {
        return $this->areKinds() ? $this->kinds->inOrder()->take($most)->values() : Outlet::byPlace($most);
    }

    /** @return Collection<int, Outlet> those of a tour's places, in its order; every one without a tour */
    public function along(?Tour $tour): Collection
    {
        if ($tour === null) {
            return $this->inOrder();
        }
        $order = array_flip($tour->places());
        $outlets = Outlet::inOrder()->load('place')->filter(static fn (Outlet $o): bool => isset($order[$o->place->ulid]));

        return (new Collection($outlets->all()))->sortBy(static fn (Outlet $o): int => $order[$o->place->ulid])->values();
    }

    public function find(string $id): ?Outlet
    {
        return KindRows::isKind($id) ? $this->kinds->find($id) : Outlet::query()->firstWhere('ulid', $id);
    }
}
