<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SimulationRequest;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Answers\SimulationWriter;
use Harmozon\Core\Bench\FoundInstruments;
use Harmozon\Core\Bench\Frames;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Catalogue\Catalogue;
use Illuminate\Http\JsonResponse;

/** A stand-in car, adapter and charger go through a session. Nothing is stored. */
final class SimulationController extends Controller
{
    private const EVERY_S = 60;

    public function play(SimulationRequest $request, SimulationWriter $writer, FitWriter $chains, Catalogue $catalogue): JsonResponse
    {
        $question = $request->question();
        $answer = $question->answer($question->offered($request->mayBuy(), $catalogue))->best;
        $simulation = Simulation::of($answer, $request->seed(), $request->fault());
        $everyS = $request->everyS();
        $session = $simulation->session(new FoundInstruments($answer->chain, $simulation->ambientC(), $request->seed()), $everyS ?? self::EVERY_S);

        return response()->json([
            ...$writer->session($session, $request->seed(), $answer->chain->current, $simulation->fault()),
            'links' => $chains->chain($answer)['links'],
            'faults' => $writer->faults($simulation->possibleFaults()),
            'taken' => $everyS === null ? null : array_map($writer->reading(...), $session->readings),
            'frames' => $writer->frames(Frames::of($simulation)),
        ]);
    }
}
