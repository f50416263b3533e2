<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\FactDays;
use App\Equipment\PieceKind;
use Harmozon\Core\Equipment\Marks;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;

final class CatalogueController extends Controller
{
    /** Kinds of charger and of adapter to begin a plate from, in the words of the case file. */
    public function show(Voice $voice): JsonResponse
    {
        $chargers = json_decode((string) file_get_contents(base_path('core/catalogue/charger-kinds.json')), true, flags: JSON_THROW_ON_ERROR);
        $adapters = json_decode((string) file_get_contents(base_path('core/catalogue/adapter-kinds.json')), true, flags: JSON_THROW_ON_ERROR);
        /** @var array{groups: list<mixed>, kinds: list<array{outlet: array<string, mixed>}>} $chargers both were read by the core before */
        /** @var array{kinds: list<array{adapter: array<string, mixed>}>} $adapters */

        return response()->json([
            'groups' => $chargers['groups'],
            'chargers' => array_map(static fn (array $kind): array => [...$kind, 'outlet' => FactDays::usual(PieceKind::Outlets, $kind['outlet'])], $chargers['kinds']),
            'adapters' => array_map(static fn (array $kind): array => [...$kind, 'adapter' => FactDays::usual(PieceKind::Adapters, $kind['adapter'])], $adapters['kinds']),
            'marks' => array_map(static fn (Marks $m): array => [
                'coupler' => $m->family->value, 'outline' => $m->outline, 'contacts' => $m->contacts, 'big_below' => $m->bigBelow,
                'words' => $voice->say($m->message()), 'historic' => $m->family->isHistoric(),
            ], Marks::all()),
        ]);
    }
}
