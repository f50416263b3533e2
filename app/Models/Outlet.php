<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $place_id
 * @property-read Place $place
 */
final class Outlet extends Piece
{
    /** @return Collection<int, static> of the places that are still there */
    public static function inOrder(): Collection
    {
        $query = self::query();
        $query->whereHas('place')->orderBy('position')->orderBy('id');

        return $query->get();
    }

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(Place::class);
    }
}
