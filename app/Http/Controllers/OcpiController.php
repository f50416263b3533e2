<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Http\Requests\FileRequest;
use App\Models\Outlet;
use App\Models\Place;
use Harmozon\Core\Files\OcpiLocations;
use Harmozon\Core\Files\OcpiOutlet;
use Harmozon\Core\Files\OcpiPlace;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

final class OcpiController extends Controller
{
    public function __construct(private readonly OcpiLocations $locations)
    {
    }

    public function preview(FileRequest $request): JsonResponse
    {
        return response()->json(['places' => array_map(static fn (OcpiPlace $p): array => [
            'name' => $p->name,
            'outlets' => array_map(static fn (OcpiOutlet $o): array => ['name' => $o->name, 'spec' => $o->spec], $p->outlets),
            'not_understood' => $p->notUnderstood,
        ], $this->places($request))]);
    }

    /** All places or none: one that cannot be kept takes the others back. */
    public function import(FileRequest $request, PieceStore $pieces): JsonResponse
    {
        $places = $this->places($request);
        $added = DB::transaction(static function () use ($places, $pieces): array {
            $ids = [];
            foreach ($places as $place) {
                $id = $pieces->create(PieceKind::Places, ['name' => $place->name])->ulid;
                foreach ($place->outlets as $outlet) {
                    $pieces->create(PieceKind::Outlets, ['name' => $outlet->name, 'place' => $id, 'spec' => $outlet->spec]);
                }
                $ids[] = $id;
            }

            return $ids;
        });

        return response()->json(['places' => $added, 'outlets' => array_sum(array_map(static fn (OcpiPlace $p): int => count($p->outlets), $places))]);
    }

    public function export(): JsonResponse
    {
        return response()->json($this->locations->write(array_values(Place::inOrder()->map(static fn (Place $p): array => [
            'id' => $p->ulid,
            'name' => $p->name,
            'outlets' => array_values($p->outlets->map(static fn (Outlet $o): array => ['id' => $o->ulid, 'spec' => $o->spec])->all()),
        ])->all())));
    }

    /** @return list<OcpiPlace> */
    private function places(FileRequest $request): array
    {
        return $this->locations->read((string) file_get_contents($request->upload()->getPathname()));
    }
}
