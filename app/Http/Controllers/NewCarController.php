<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\NewCarDraft;
use App\Equipment\PieceReader;
use App\Garage\CurrentGarage;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Json\Node;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A car from a person's answers: the questions, the answers so far, and what would narrow them. Nothing is stored. */
final class NewCarController extends Controller
{
    public function classes(NewCarDraft $draft): JsonResponse
    {
        return response()->json($draft->classes());
    }

    public function draft(Request $request, NewCarDraft $draft, PieceReader $pieceReader, CurrentGarage $garage): JsonResponse
    {
        $answers = Node::of(array_filter($request->json()->all(), is_string(...), ARRAY_FILTER_USE_KEY));

        return response()->json($draft->told($answers, $pieceReader->kit($pieceReader->adapters()), (new Conditions)->setUp($pieceReader->networks()), $garage->region(), $garage->today()));
    }
}
