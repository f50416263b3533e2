<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use Harmozon\Core\Catalogue\Region;
use Illuminate\Support\Collection;

/** The catalogue's kinds of charger as rows of a board. A kind has no place, so no session starts at it. */
final class KindRows
{
    private const ID = 'kind:';

    private const CLOSED = 'hubs';

    /** @var array<string, Outlet>|null by id */
    private ?array $rows = null;

    /** @var array<string, array{group: string, regions: list<string>}> by id */
    private array $about = [];

    /** @return Collection<int, Outlet> */
    public function inOrder(): Collection
    {
        return new Collection(array_values($this->rows()));
    }

    public function find(string $id): ?Outlet
    {
        return $this->rows()[$id] ?? null;
    }

    public static function isKind(string $id): bool
    {
        return str_starts_with($id, self::ID);
    }

    public function groupOf(Outlet $row): string
    {
        return $this->about[$row->ulid]['group'];
    }

    /** Whether it exists in a region; elsewhere, everything in use today exists. */
    public function isIn(Outlet $row, Region $region): bool
    {
        $regions = $this->about[$row->ulid]['regions'];

        return in_array($region->value, $regions, true) || ($region === Region::Elsewhere && $regions !== []);
    }

    /**
     * Group by group: the kinds that exist in a region, then those of others. The kinds of the past come last.
     *
     * @return list<array{id: string, name: string, here: bool, rows: Collection<int, Outlet>}>
     */
    public function groups(Region $region): array
    {
        $groups = [];
        foreach ([true, false] as $isHere) {
            foreach (ShippedKinds::groups() as $group) {
                $rows = $this->inOrder()->filter(fn (Outlet $o): bool => $this->groupOf($o) === $group['id'] && $this->isIn($o, $region) === $isHere)->values();
                if ($rows->isNotEmpty()) {
                    $groups[] = ['id' => ($isHere ? 'kinds:' : 'other-kinds:').$group['id'], 'name' => $group['name'], 'here' => $isHere, 'rows' => $rows];
                }
            }
        }

        return $groups;
    }

    /** @return array<string, Outlet> */
    private function rows(): array
    {
        if ($this->rows === null) {
            $this->rows = [];
            foreach (ShippedKinds::chargers() as $kind) {
                // Who may start is a matter of a place: but for closed hubs, a kind is looked at as if it were open to everyone.
                $outlet = $kind['group'] === self::CLOSED ? $kind['outlet'] : ['access' => ['kind' => 'open']] + $kind['outlet'];
                $row = new Outlet;
                $row->setRawAttributes(['ulid' => self::ID.$kind['id'], 'name' => $kind['name'], 'blurb' => $kind['seen'], 'version' => 1, 'origin' => null, 'spec' => json_encode($outlet, JSON_THROW_ON_ERROR)], true);
                $this->rows[$row->ulid] = $row;
                $this->about[$row->ulid] = ['group' => $kind['group'], 'regions' => $kind['regions']];
            }
        }

        return $this->rows;
    }
}
