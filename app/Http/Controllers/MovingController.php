<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Files\TextInput;
use App\Garage\DeletionPeriod;
use App\Http\Requests\MoveRequest;
use App\Models\Garage;
use App\Moving\DeletedPieces;
use App\Moving\GarageDocument;
use App\Moving\GarageImport;
use App\People\SignedInUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Exports and imports a whole garage. */
final class MovingController extends Controller
{
    public function export(GarageDocument $document): StreamedResponse
    {
        $garage = self::garage();

        return response()->streamDownload(static function () use ($document, $garage): void {
            foreach ($document->parts($garage) as $part) {
                echo $part;
            }
        }, ltrim(Str::slug($garage->name).'.garage.json', '.'), ['Content-Type' => 'application/json']);
    }

    public function import(MoveRequest $request, GarageImport $import): JsonResponse
    {
        return response()->json($import->bring(self::garage(), TextInput::chunks($request->upload()->getPathname(), 'file'), $request->boolean('replace'))->toArray());
    }

    /** Deleted records that can be restored. */
    public function putAside(DeletedPieces $aside): JsonResponse
    {
        return response()->json(['days' => DeletionPeriod::DAYS, 'items' => $aside->told()]);
    }

    private static function garage(): Garage
    {
        return SignedInUser::signedIn()->garage ?? throw new \LogicException('behind MayAct');
    }
}
