<?php

declare(strict_types=1);

namespace App\Networks;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Models\NetworkImport;
use App\Models\Outlet;
use App\Models\Place;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Ocpi\PlateMerge;
use Illuminate\Support\Facades\DB;

/** Undoes an import as a whole. What somebody has changed on a piece since stays, and is named. */
final class ImportUndo
{
    private const ROWS_A_WRITE = 500;

    public function __construct(private readonly PieceStore $pieces)
    {
    }

    /**
     * Undoing twice is the same as undoing once.
     *
     * @return list<string> names of the pieces that keep something that was written since
     */
    public function undo(string $importId): array
    {
        return DB::transaction(function () use ($importId): array {
            $kept = [];
            $query = NetworkImport::query();
            $query->where('ulid', $importId)->whereNull('undone_at');
            $import = $query->first();
            if ($import === null) {
                return [];
            }
            $pieces = self::pieces($import);
            $gone = [];
            foreach (array_reverse($import->steps) as $step) {
                $piece = $pieces[$step['id']] ?? null;
                if ($piece === null) {
                    continue;
                }
                if ($step['before'] !== null) {
                    $isWhole = $this->takeBack($piece, $step['before'], $step['after'] ?? []);
                } else {
                    $isWhole = self::isUntouched($piece, $step['after'] ?? [], $gone);
                    $gone[$piece::class][$piece->id] = $isWhole;
                }
                if (! $isWhole) {
                    $kept[] = $piece->name;
                }
            }
            self::takeAway($gone);
            $import->update(['undone_at' => now()]);

            return array_values(array_unique($kept));
        });
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return bool whether nothing of the import is left
     */
    private function takeBack(Place|Outlet $piece, array $before, array $after): bool
    {
        if ($piece->trashed() && ($after['aside'] ?? false) === true && ($before['aside'] ?? false) === false) {
            $piece->restore();
        }
        [$merged, $figures] = PlateMerge::of(self::figures(PieceState::of($piece)), self::figures($after), self::figures($before));
        $name = is_string($merged['name'] ?? null) ? $merged['name'] : $piece->name;
        unset($merged['name']);
        $piece->update([
            'name' => $name,
            'origin' => $before['origin'] ?? null,
            'version' => $piece->version + 1,
            ...($piece instanceof Outlet ? ['spec' => $this->pieces->plate(PieceKind::Outlets, Node::of($merged), $name)] : []),
        ]);

        return array_filter($figures, static fn ($f): bool => $f->isKept) === [];
    }

    /**
     * Whether an imported piece is unchanged and holds nothing that somebody added.
     *
     * @param  array<string, mixed>  $after
     * @param  array<class-string, array<int, bool>>  $gone  what goes with it
     */
    private static function isUntouched(Place|Outlet $piece, array $after, array $gone): bool
    {
        return PlateMerge::isSame(self::figures(PieceState::of($piece)), self::figures($after))
            && ($piece instanceof Outlet || Outlet::query()->where('place_id', $piece->id)->pluck('id')->every(static fn (mixed $id): bool => $gone[Outlet::class][$id] ?? false));
    }

    /**
     * Removes pieces. Those that are kept lose their network ids, so that the next file doesn't match them.
     *
     * @param  array<class-string<Place|Outlet>, array<int, bool>>  $gone  by id, whether it goes
     */
    private static function takeAway(array $gone): void
    {
        foreach ($gone as $class => $ids) {
            foreach (array_chunk(array_keys($ids), self::ROWS_A_WRITE) as $some) {
                $class::withTrashed()->whereIn('id', $some)->update(['origin' => null]);
                $class::query()->whereIn('id', array_filter($some, static fn (int $id): bool => $ids[$id]))->delete();
            }
        }
    }

    /** @return array<string, Place|Outlet> by id, deleted ones too */
    private static function pieces(NetworkImport $import): array
    {
        $pieces = [];
        foreach ([PieceKind::Places, PieceKind::Outlets] as $kind) {
            $ids = array_column(array_filter($import->steps, static fn (array $s): bool => $s['kind'] === $kind->value), 'id');
            foreach (array_chunk($ids, self::ROWS_A_WRITE) as $some) {
                foreach ($kind->model()::withTrashed()->whereIn('ulid', $some)->get() as $piece) {
                    if ($piece instanceof Place || $piece instanceof Outlet) {
                        $pieces[$piece->ulid] = $piece;
                    }
                }
            }
        }

        return $pieces;
    }

    /**
     * @param  array<string, mixed>  $state
     * @return array<string, mixed>
     */
    private static function figures(array $state): array
    {
        $spec = json_decode((string) json_encode($state['spec'] ?? []), true);

        return ['name' => $state['name'] ?? null, ...(is_array($spec) ? $spec : [])];
    }
}
