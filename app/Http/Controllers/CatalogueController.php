<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\ShippedKinds;
use Harmozon\Core\Case\FactDays;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Equipment\Marks;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;

final class CatalogueController extends Controller
{
    /** Kinds of charger and of adapter to begin a plate from, in the words of the case file. */
    public function show(Voice $voice): JsonResponse
    {
        return response()->json([
            'groups' => ShippedKinds::groups(),
            'chargers' => array_map(static fn (array $kind): array => [...$kind, 'outlet' => FactDays::usual(FactOwner::Outlet, $kind['outlet'])], ShippedKinds::chargers()),
            'adapters' => array_map(static fn (array $kind): array => [...$kind, 'adapter' => FactDays::usual(FactOwner::Adapter, $kind['adapter'])], ShippedKinds::adapters()),
            'marks' => array_map(static fn (Marks $m): array => [
                'coupler' => $m->family->value, 'outline' => $m->outline, 'contacts' => $m->contacts, 'big_below' => $m->bigBelow,
                'words' => $voice->say($m->message()), 'historic' => $m->family->isHistoric(),
            ], Marks::all()),
        ]);
    }
}
