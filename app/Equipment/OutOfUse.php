<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Piece;

/**
 * Adapters that are out of use until inspected; gate 6 reads it from their records. It applies even while somebody
 * edits an older version.
 */
final class OutOfUse
{
    public function __construct(private readonly PieceStore $pieces)
    {
    }

    /**
     * @param  list<string>  $ids  of the adapters of a chain, the station's own among them
     * @return array<string, bool|null> what was known of the damage of each that is in the garage
     */
    public function take(array $ids, ?int $outletId): array
    {
        $before = [];
        foreach ($ids as $id) {
            $found = $this->find($id, $outletId);
            if ($found !== null) {
                [$piece, $path] = $found;
                $known = data_get($piece->spec, $path);
                $before[$id] = is_bool($known) ? $known : null;
                $this->write($piece, $path, true);
            }
        }

        return $before;
    }

    /** @param  array<string, bool|null>  $before  what take() gave */
    public function giveBack(array $before, ?int $outletId): void
    {
        foreach ($before as $id => $known) {
            $found = $this->find((string) $id, $outletId);
            if ($found !== null && data_get($found[0]->spec, $found[1]) === true) {
                $this->write($found[0], $found[1], $known);
            }
        }
    }

    /** @return array{Piece, string}|null the piece whose record says so, and where */
    private function find(string $id, ?int $outletId): ?array
    {
        $adapter = Adapter::query()->firstWhere('ulid', $id);
        if ($adapter !== null) {
            return [$adapter, 'damaged'];
        }
        $outlet = $outletId === null ? null : Outlet::query()->find($outletId);

        return $outlet !== null && $outlet->attachedAdapterId() === $id ? [$outlet, 'attached_adapter.damaged'] : null;
    }

    private function write(Piece $piece, string $path, ?bool $damaged): void
    {
        $kind = $piece instanceof Adapter ? PieceKind::Adapters : PieceKind::Outlets;
        $this->pieces->change($kind, $piece->ulid, ['version' => $piece->version, 'changes' => [$path => $damaged]]);
    }
}
