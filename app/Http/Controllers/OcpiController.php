<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\PieceKind;
use App\Equipment\PieceStore;
use App\Http\Requests\FileRequest;
use App\Models\Outlet;
use App\Models\Place;
use Harmozon\Core\Files\OcpiOutlet;
use Harmozon\Core\Files\OcpiPlace;
use Harmozon\Core\Files\OcpiReader;
use Harmozon\Core\Files\OcpiWriter;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

final class OcpiController extends Controller
{
    public function __construct(private readonly Voice $voice)
    {
    }

    public function preview(FileRequest $request): JsonResponse
    {
        return response()->json(['places' => array_map(fn (OcpiPlace $p): array => [
            'name' => $p->name,
            'outlets' => array_map(fn (OcpiOutlet $o): array => ['name' => $this->voice->say($o->name), 'spec' => $o->spec], $p->outlets),
            'not_understood' => $this->voice->each($p->notUnderstood),
        ], $this->places($request))]);
    }

    /** All places or none: one that cannot be kept takes the others back. */
    public function import(FileRequest $request, PieceStore $pieces): JsonResponse
    {
        $places = $this->places($request);
        $added = DB::transaction(function () use ($places, $pieces): array {
            $ids = [];
            foreach ($places as $place) {
                $id = $pieces->create(PieceKind::Places, ['name' => $place->name])->ulid;
                foreach ($place->outlets as $outlet) {
                    $pieces->create(PieceKind::Outlets, ['name' => $this->voice->say($outlet->name), 'place' => $id, 'spec' => $outlet->spec]);
                }
                $ids[] = $id;
            }

            return $ids;
        });

        return response()->json(['places' => $added, 'outlets' => array_sum(array_map(static fn (OcpiPlace $p): int => count($p->outlets), $places))]);
    }

    public function export(OcpiWriter $writer): JsonResponse
    {
        $written = $writer->write(array_values(Place::inOrder()->map(static fn (Place $p): array => [
            'id' => $p->ulid,
            'name' => $p->name,
            'outlets' => array_values($p->outlets->map(static fn (Outlet $o): array => ['id' => $o->ulid, 'spec' => $o->spec])->all()),
        ])->all()));

        return response()->json([...$written, 'left_out' => $this->voice->each($written['left_out'])]);
    }

    /** @return list<OcpiPlace> */
    private function places(FileRequest $request): array
    {
        return (new OcpiReader)->read((string) file_get_contents($request->upload()->getPathname()));
    }
}
