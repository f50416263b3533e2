<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use App\Models\Tour;
use Illuminate\Support\Collection;

/**
 * The rows of a board: the garage's outlets, or, while it has none, the catalogue's kinds of charger, so that a new car has
 * an answer before any place is entered. A kind stands nowhere: no session begins at it.
 */
final class Rows
{
    private const KIND = 'kind:';

    private const CLOSED = 'hubs';

    /** @var array<string, Outlet>|null by id */
    private ?array $kinds = null;

    public function areKinds(): bool
    {
        return Outlet::query()->whereHas('place')->doesntExist();
    }

    /** @return Collection<int, Outlet> */
    public function inOrder(): Collection
    {
        return $this->areKinds() ? $this->kinds() : Outlet::inOrder();
    }

    /**
     * @param  list<string>  $ids  public ids
     * @return Collection<int, Outlet>
     */
    public function those(array $ids): Collection
    {
        $kinds = array_values(array_filter($ids, self::isKind(...)));

        return $kinds === [] ? Outlet::inOrder($ids) : $this->kinds()->whereIn('ulid', $kinds)->values();
    }

    /** @return Collection<int, Outlet> so many from the top, place by place */
    public function top(int $most): Collection
    {
        return $this->areKinds() ? $this->kinds()->take($most)->values() : Outlet::byPlace($most);
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
        return self::isKind($id) ? ($this->all()[$id] ?? null) : Outlet::query()->firstWhere('ulid', $id);
    }

    /** @return Collection<int, Outlet> */
    public function kinds(): Collection
    {
        return new Collection(array_values($this->all()));
    }

    public static function isKind(string $id): bool
    {
        return str_starts_with($id, self::KIND);
    }

    /** @return array<string, string> the group that each kind belongs to, by the id of its row */
    public function groups(): array
    {
        $groups = [];
        foreach (ShippedKinds::chargers() as $kind) {
            $groups[self::KIND.$kind['id']] = $kind['group'];
        }

        return $groups;
    }

    /** @return array<string, Outlet> */
    private function all(): array
    {
        if ($this->kinds === null) {
            $this->kinds = [];
            foreach (ShippedKinds::chargers() as $kind) {
                // Who may start is a matter of a place: but for closed hubs, a kind is looked at as if it were open to everyone.
                $outlet = $kind['group'] === self::CLOSED ? $kind['outlet'] : ['access' => ['kind' => 'open']] + $kind['outlet'];
                $row = new Outlet;
                $row->setRawAttributes(['ulid' => self::KIND.$kind['id'], 'name' => $kind['name'], 'blurb' => $kind['seen'], 'version' => 1, 'origin' => null, 'spec' => json_encode($outlet, JSON_THROW_ON_ERROR)], true);
                $this->kinds[$row->ulid] = $row;
            }
        }

        return $this->kinds;
    }
}
