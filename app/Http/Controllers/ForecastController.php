<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\BoardRows;
use App\Equipment\PieceReader;
use App\Http\Requests\ForecastRequest;
use App\Http\Requests\RankingRequest;
use App\Models\Vehicle;
use App\Sessions\PastSessions;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Answers\ForecastWriter;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Fit\Board;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Forecast\AdvertisedPower;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Ranking;
use Illuminate\Http\JsonResponse;

final class ForecastController extends Controller
{
    /** Up to three chains side by side, and the advertised power of the first one's outlet. */
    public function forecast(ForecastRequest $request, ForecastWriter $writer, FitWriter $fit, PieceReader $pieceReader, Catalogue $catalogue): JsonResponse
    {
        $forecasts = [];
        $sticker = null;
        foreach ($request->questions() as $question) {
            $case = $question->case();
            $best = $question->answer($question->offered($request->mayBuy(), $catalogue))->best;
            $forecasts[] = [
                'answer' => $fit->chain($best),
                ...$writer->forecast(Forecaster::sparing()->forecast($best, $case->conditions), $case->conditions),
            ];
            $sticker ??= $writer->sticker(new AdvertisedPower($case->outlet), Vehicle::inOrder()->map($pieceReader->vehicle(...)), $case->conditions);
        }

        return response()->json(['forecasts' => $forecasts, 'sticker' => $sticker]);
    }

    /** Every outlet as a stop for one car. */
    public function ranking(RankingRequest $request, ForecastWriter $writer, PieceReader $pieceReader, Catalogue $catalogue, BoardRows $rows, PastSessions $memory): JsonResponse
    {
        $vehicle = $pieceReader->vehicle($request->vehicle());
        $conditions = $request->conditions()->setUp($pieceReader->networks())->reaching($vehicle)->remembering($memory->remembered());
        $fitter = new Fitter(Board::distinct($pieceReader->chosen($request->kit(), $rows->areKinds(), $catalogue), $conditions), $conditions, $request->policy());

        return response()->json($writer->ranking(Ranking::of($rows->along($request->tour())->map($pieceReader->outlet(...)), $vehicle, $fitter)));
    }
}
