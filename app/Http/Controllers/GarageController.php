<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\BoardRows;
use App\Equipment\KindRows;
use App\Equipment\PieceReader;
use App\Equipment\ShippedKinds;
use App\Garage\CurrentGarage;
use App\Http\Requests\HabitsRequest;
use App\Models\Adapter;
use App\Models\Garage;
use App\Models\Network;
use App\Models\Outlet;
use App\Models\Piece;
use App\Models\Place;
use App\Models\Tour;
use App\Models\Vehicle;
use App\Models\Wish;
use Harmozon\Core\Answers\TermsWriter;
use Harmozon\Core\Case\PlateWriter;
use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Catalogue\SearchWords;
use Harmozon\Core\Chain\UnreadFacts;
use Harmozon\Core\Equipment\Adapter as CoreAdapter;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

final class GarageController extends Controller
{
    /** Every piece of the garage with its plate. */
    public function show(PieceReader $pieceReader, PlateWriter $plates, KindRows $kinds, CurrentGarage $garage): JsonResponse
    {
        $places = Place::inOrder();

        return response()->json([
            'vehicles' => Vehicle::inOrder()->map(static fn (Vehicle $v): array => [...self::piece($v), 'lines' => $plates->vehicle($pieceReader->vehicle($v))]),
            'adapters' => Adapter::inOrder()->map(static fn (Adapter $a): array => ['tag' => $a->tag, ...self::piece($a), ...self::adapter($pieceReader->adapter($a), $plates)]),
            'groups' => ShippedKinds::groups(),
            'places' => $places->map(static fn (Place $place): array => [
                'id' => $place->ulid,
                'version' => $place->version,
                'name' => $place->name,
                'outlets' => $place->outlets->map(static fn (Outlet $o): array => self::outlet($o, $pieceReader)),
            ]),
            'networks' => Network::inOrder()->map(self::piece(...)),
            'tours' => Tour::inOrder()->map(self::piece(...)),
            'wishes' => Wish::inOrder()->map(static fn (Wish $w): array => [...self::piece($w), 'lines' => $plates->adapter($pieceReader->wish($w))]),
            'kinds' => $places->every(static fn (Place $place): bool => $place->outlets->isEmpty()) ? self::kinds($kinds, $garage->region(), $pieceReader) : [],
        ]);
    }

    /** The outlets' ratings as lines, and for every piece the number of unread facts and its search words: needed only where somebody chooses among them. */
    public function plates(PieceReader $pieceReader, PlateWriter $plates, BoardRows $rows, Voice $voice): JsonResponse
    {
        $lines = $unread = $foundBy = [];
        foreach ($rows->inOrder() as $row) {
            $outlet = $pieceReader->outlet($row);
            $lines[$row->ulid] = $plates->outlet($outlet);
            $unread[$row->ulid] = UnreadFacts::ofOutlet($outlet);
            $foundBy[$row->ulid] = $voice->paragraph(SearchWords::outlet($outlet));
        }
        foreach (Vehicle::inOrder() as $row) {
            $vehicle = $pieceReader->vehicle($row);
            $unread[$row->ulid] = UnreadFacts::ofVehicle($vehicle);
            $foundBy[$row->ulid] = $voice->paragraph(SearchWords::vehicle($vehicle));
        }
        foreach (Adapter::inOrder() as $row) {
            $adapter = $pieceReader->adapter($row);
            $unread[$row->ulid] = UnreadFacts::ofAdapter($adapter);
            $foundBy[$row->ulid] = $voice->paragraph(SearchWords::adapter($adapter));
        }

        return response()->json(['outlets' => (object) $lines, 'unread' => (object) $unread, 'found_by' => (object) $foundBy]);
    }

    /** The names of every closed set in the garage's language, and a driver's default needs. */
    public function terms(TermsWriter $writer): JsonResponse
    {
        return response()->json($writer->terms());
    }

    /** How temperatures, distances, numbers and dates are shown; stored values don't change. */
    public function habits(HabitsRequest $request, CurrentGarage $garage): Response
    {
        Garage::query()->whereKey($garage->id())->update($request->habits());

        return response()->noContent();
    }

    /** @return array<string, mixed> what the core reads of it */
    private static function adapter(CoreAdapter $adapter, PlateWriter $plates): array
    {
        return ['lines' => $plates->adapter($adapter), 'need' => $plates->need($adapter)];
    }

    /** @return list<array<string, mixed>> the kinds of charger, group by group, in place of places; those that exist where the garage is first */
    private static function kinds(KindRows $kinds, Region $region, PieceReader $pieceReader): array
    {
        return array_map(static fn (array $group): array => [
            'id' => $group['id'],
            'version' => 1,
            'name' => $group['name'],
            'here' => $group['here'],
            'outlets' => $group['rows']->map(static fn (Outlet $o): array => self::outlet($o, $pieceReader)),
        ], $kinds->groups($region));
    }

    /** @return array<string, mixed> */
    private static function outlet(Outlet $outlet, PieceReader $pieceReader): array
    {
        $piece = self::piece($outlet);

        return [...$piece, 'group' => $pieceReader->group($piece['spec'])->value];
    }

    /** @return array{id: string, version: int, name: string, blurb: string, spec: \stdClass} */
    private static function piece(Piece $piece): array
    {
        return [...$piece->asShown(), 'spec' => $piece->plate()];
    }
}
