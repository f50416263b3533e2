<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $place_id
 * @property array{name: string, spec: array<string, mixed>}|null $origin what its network's file said of it the last time
 * @property-read Place $place
 */
final class Outlet extends Piece
{
    protected $table = 'outlets';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [...parent::casts(), 'origin' => 'array'];
    }

    /**
     * @param  list<string>|null  $ids  public ids of those that are wanted; null for every one
     * @return Collection<int, static> of the places that are still there
     */
    public static function inOrder(?array $ids = null): Collection
    {
        $query = self::query();
        if ($ids !== null) {
            $query->whereIn('ulid', $ids);
        }
        $query->whereHas('place')->orderBy('position')->orderBy('id');

        return $query->get();
    }

    /** @return Collection<int, static> place by place, up to a maximum */
    public static function byPlace(int $most): Collection
    {
        $query = self::query();
        $query->select('outlets.*')->join('places', 'places.id', '=', 'outlets.place_id')->whereNull('places.deleted_at')
            ->orderBy('places.position')->orderBy('places.id')->orderBy('outlets.position')->orderBy('outlets.id')->limit($most);

        return $query->get();
    }

    /** The id of the station's own adapter; null when there is none. */
    public function attachedAdapterId(): ?string
    {
        $attached = $this->spec['attached_adapter'] ?? null;
        $id = is_array($attached) ? ($attached['id'] ?? null) : null;

        return is_string($id) ? $id : null;
    }

    /** The public id of its place, which may be deleted. */
    public function placeUlid(): string
    {
        return Place::withTrashed()->whereKey($this->place_id)->firstOrFail()->ulid;
    }

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(Place::class);
    }
}
