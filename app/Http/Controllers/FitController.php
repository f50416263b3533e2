<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\Board;
use App\Equipment\BoardRows;
use App\Equipment\PieceReader;
use App\Http\Requests\BoardRequest;
use App\Http\Requests\CellsRequest;
use App\Http\Requests\FitRequest;
use App\Http\Requests\StepsRequest;
use App\Kit\TourPacking;
use App\Models\Tour;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Answers\VisitWriter;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Steps\StepList;
use Illuminate\Http\JsonResponse;

final class FitController extends Controller
{
    public function board(CellsRequest $request, Board $board, PieceReader $pieceReader, Catalogue $catalogue, BoardRows $rows): JsonResponse
    {
        $policy = $request->policy();
        $kit = $request->kit();

        return response()->json([
            'kit' => $kit,
            'policy' => $policy->value,
            'cells' => $board->cells($pieceReader->chosen($kit, $rows->areKinds(), $catalogue), $policy, (new Conditions)->setUp($pieceReader->networks()), $request->outlets(), $request->vehicles(), $request->first()),
        ]);
    }

    /** What to pack for a tour. */
    public function pack(BoardRequest $request, TourPacking $packing, string $tour): JsonResponse
    {
        $found = Tour::query()->where('ulid', $tour)->firstOrFail();

        return response()->json($packing->of($found, $request->policy()));
    }

    public function fit(FitRequest $request, FitWriter $writer, Catalogue $catalogue): JsonResponse
    {
        $question = $request->question();
        $answer = $question->answer($question->offered($request->mayBuy(), $catalogue));

        return response()->json($writer->answer($answer, $question->changes($catalogue, $answer)));
    }

    /** What to do beside the car, for one chain. */
    public function steps(StepsRequest $request, VisitWriter $writer, Catalogue $catalogue): JsonResponse
    {
        $question = $request->question();
        $best = $question->answer($question->offered($request->mayBuy(), $catalogue))->best;
        $conditions = $question->case()->conditions;
        $forecast = Forecaster::sparing()->forecast($best, $conditions);

        return response()->json($writer->visit(StepList::of($best, $forecast->advice->passed, $request->stall()), $forecast, $conditions));
    }
}
