<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use App\Models\Place;
use Harmozon\Core\Json\FieldError;
use Illuminate\Support\Facades\DB;

/** A second place like one that is here: its chargers' ratings, access and prices, but nothing that only the first has. */
final class PlaceCopy
{
    /** Of an outlet: its address and its fault. */
    private const OWN = ['address', 'known_fault'];

    /** Of a stall: its network's ids, and what is broken there. */
    private const OWN_OF_STALL = ['evse_id', 'uid', 'connector', 'fault'];

    public function __construct(private readonly PieceStore $pieces)
    {
    }

    /**
     * With all of its outlets, or not at all.
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
                $this->pieces->create(PieceKind::Outlets, ['name' => $outlet->name, 'blurb' => $outlet->blurb, 'place' => $copy->ulid, 'spec' => self::shared($outlet)]);
            }

            return $copy;
        });
    }

    /** @return array<string, mixed> what another charger of the kind has too */
    private static function shared(Outlet $outlet): array
    {
        $spec = array_diff_key($outlet->spec, array_flip(self::OWN));
        $stalls = $spec['stalls'] ?? null;

        return is_array($stalls)
            ? [...$spec, 'stalls' => array_map(static fn (mixed $stall): array => is_array($stall) ? array_diff_key($stall, array_flip(self::OWN_OF_STALL)) : [], $stalls)]
            : $spec;
    }
}
