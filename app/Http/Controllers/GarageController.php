<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Adapter;
use App\Models\Outlet;
use App\Models\Piece;
use App\Models\Place;
use App\Models\Vehicle;
use Illuminate\Http\JsonResponse;

final class GarageController extends Controller
{
    /** Every piece of the garage with its plate. */
    public function show(): JsonResponse
    {
        return response()->json([
            'vehicles' => Vehicle::inOrder()->map(self::piece(...)),
            'adapters' => Adapter::inOrder()->map(static fn (Adapter $a): array => ['tag' => $a->tag, ...self::piece($a)]),
            'places' => Place::inOrder()->map(static fn (Place $place): array => [
                'id' => $place->ulid,
                'name' => $place->name,
                'outlets' => $place->outlets->map(static fn (Outlet $o): array => self::piece($o)),
            ]),
        ]);
    }

    /** @return array{id: string, name: string, blurb: string, spec: array<string, mixed>} */
    private static function piece(Piece $piece): array
    {
        return ['id' => $piece->ulid, 'name' => $piece->name, 'blurb' => $piece->blurb, 'spec' => $piece->spec];
    }
}
