<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\Board;
use App\Equipment\Crate;
use App\Http\Requests\BoardRequest;
use App\Http\Requests\FitRequest;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Files\FitWriter;
use Illuminate\Http\JsonResponse;

final class FitController extends Controller
{
    public function board(BoardRequest $request, Board $board, Crate $crate): JsonResponse
    {
        $policy = $request->policy();
        $kit = $request->kit();

        return response()->json([
            'kit' => $kit,
            'policy' => $policy->value,
            'cells' => $board->cells($kit === 'none' ? [] : $crate->kit($crate->adapters()), $policy, new Conditions),
        ]);
    }

    public function fit(FitRequest $request, FitWriter $writer): JsonResponse
    {
        return response()->json($writer->answer($request->question()->answer()));
    }
}
