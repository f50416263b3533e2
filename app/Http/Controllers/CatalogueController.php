<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\ShippedKinds;
use Harmozon\Core\Case\FactDays;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Catalogue\ChargerKind;
use Harmozon\Core\Catalogue\SearchWords;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CouplerLook;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;

final class CatalogueController extends Controller
{
    /** Kinds of charger and adapter to start a plate from, in the words of the case file. */
    public function show(Voice $voice, Catalogue $catalogue): JsonResponse
    {
        $chargers = array_column(array_map(static fn (ChargerKind $k): array => [$k->id, $voice->paragraph(SearchWords::outlet($k->outlet))], $catalogue->chargers()), 1, 0);
        $adapters = array_column(array_map(static fn (Adapter $a): array => [$a->id, $voice->paragraph(SearchWords::adapter($a))], $catalogue->adapters()), 1, 0);

        return response()->json([
            'groups' => ShippedKinds::groups(),
            'chargers' => array_map(static fn (array $kind): array => [...$kind, 'found_by' => $chargers[$kind['id']], 'outlet' => FactDays::usual(FactOwner::Outlet, $kind['outlet'])], ShippedKinds::chargers()),
            'adapters' => array_map(static fn (array $kind): array => [...$kind, 'found_by' => $adapters[$kind['id']], 'adapter' => FactDays::usual(FactOwner::Adapter, $kind['adapter'])], ShippedKinds::adapters()),
            'marks' => array_map(static fn (CouplerLook $m): array => [
                'coupler' => $m->family->value, 'outline' => $m->outline, 'contacts' => $m->contacts, 'big_below' => $m->bigBelow,
                'words' => $voice->say($m->message()), 'name' => $voice->begin($m->family->name()), 'seen' => $voice->say($m->family->message()), 'historic' => $m->family->isHistoric(),
            ], CouplerLook::all()),
        ]);
    }
}
