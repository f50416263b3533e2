<?php

declare(strict_types=1);

namespace App\Networks;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Models\NetworkImport;
use App\Models\Outlet;
use App\Models\Place;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Files\Ocpi\Merge;
use Illuminate\Support\Facades\DB;

/** Takes an import back as a whole. What somebody has written on a piece since stays, and is named. */
final class ImportUndo
{
    public function __construct(private readonly PieceStore $pieces)
    {
    }

    /**
     * Undone twice is undone once.
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
            foreach (array_reverse($import->steps) as $step) {
                $piece = PieceKind::from($step['kind'])->model()::withTrashed()->where('ulid', $step['id'])->first();
                if (($piece instanceof Place || $piece instanceof Outlet) && ! $this->takeBack($piece, $step['before'], $step['after'] ?? [])) {
                    $kept[] = $piece->name;
                }
            }
            $import->update(['undone_at' => now()]);

            return array_values(array_unique($kept));
        });
    }

    /**
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>  $after
     * @return bool whether nothing of the import is left
     */
    private function takeBack(Place|Outlet $piece, ?array $before, array $after): bool
    {
        if ($before === null) {
            return $this->takeAway($piece, $after);
        }
        if ($piece->trashed() && ($after['aside'] ?? false) === true && ($before['aside'] ?? false) === false) {
            $piece->restore();
        }
        [$merged, $figures] = Merge::of(self::figures(PieceState::of($piece)), self::figures($after), self::figures($before));
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
     * A piece that the import brought goes again, unless it has been written on, or holds what somebody put there.
     *
     * @param  array<string, mixed>  $after
     */
    private function takeAway(Place|Outlet $piece, array $after): bool
    {
        $isTouched = ! Merge::isSame(self::figures(PieceState::of($piece)), self::figures($after)) || ($piece instanceof Place && Outlet::query()->where('place_id', $piece->id)->exists());
        $piece->update(['origin' => null]);
        if (! $isTouched && ! $piece->trashed()) {
            $piece->delete();
        }

        return ! $isTouched;
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
