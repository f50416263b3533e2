<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Place;
use Harmozon\Core\Case\OutletCopy;
use Harmozon\Core\Json\FieldError;
use Illuminate\Support\Facades\DB;

/** Copies a place with its chargers; OutletCopy says what is copied of a charger. */
final class PlaceCopy
{
    public function __construct(private readonly PieceStore $pieces)
    {
    }

    /**
     * Copies all of its outlets, or none.
     *
     * @throws FieldError when the garage would hold too many, or the name is none
     */
    public function of(string $placeId, mixed $name): Place
    {
        return DB::transaction(function () use ($placeId, $name): Place {
            $place = Place::query()->where('ulid', $placeId)->firstOrFail();
            $copy = $this->pieces->create(PieceKind::Places, ['name' => $name]);
            assert($copy instanceof Place);
            foreach ($place->outlets as $outlet) {
                $this->pieces->create(PieceKind::Outlets, ['name' => $outlet->name, 'blurb' => $outlet->blurb, 'place' => $copy->ulid, 'spec' => OutletCopy::of($outlet->spec)]);
            }

            return $copy;
        });
    }
}
