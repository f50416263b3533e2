<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MoveRequest;
use App\Models\Garage;
use App\Moving\GarageDocument;
use App\Moving\GarageImport;
use App\Moving\PutAside;
use App\People\Who;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\HeaderUtils;

/** A whole garage, out and in. */
final class MovingController extends Controller
{
    public function export(GarageDocument $document): Response
    {
        $garage = self::garage();

        return response($document->json($garage), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, ltrim(Str::slug($garage->name).'.garage.json', '.')),
        ]);
    }

    public function import(MoveRequest $request, GarageImport $import): JsonResponse
    {
        return response()->json($import->bring(self::garage(), (string) $request->upload()->get(), $request->boolean('replace'))->toArray());
    }

    /** What was put aside and can be brought back. */
    public function putAside(PutAside $aside): JsonResponse
    {
        return response()->json(['days' => PutAside::DAYS, 'items' => $aside->told()]);
    }

    private static function garage(): Garage
    {
        return Who::signedIn()->garage ?? throw new \LogicException('behind MayAct');
    }
}
