<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\FeedRequest;
use App\Http\Requests\SimulationRequest;
use App\Models\ChargeSession;
use App\Sessions\SessionChain;
use App\StandIn\ReadingId;
use Harmozon\Core\Answers\SimulationWriter;
use Harmozon\Core\Bench\FoundInstruments;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Record\Reading;
use Illuminate\Http\JsonResponse;

/** A stand-in car, adapter and charger go through a session. Nothing is stored. */
final class SimulationController extends Controller
{
    /** The readings of a session's own chain, under its own conditions, each with an id that is the same every time. */
    public function feed(FeedRequest $request, SimulationWriter $writer, string $session): JsonResponse
    {
        $found = ChargeSession::query()->where('ulid', $session)->firstOrFail();
        $answer = SessionChain::of($found)->answer;
        $simulation = Simulation::of($answer, $request->seed(), $request->fault());
        $everyS = $request->everyS();
        $played = $simulation->session(new FoundInstruments($answer->chain, $simulation->ambientC(), $request->seed()), $everyS);
        $series = ReadingId::series($session, $request->seed(), $request->faultText(), $everyS);

        return response()->json(['taken' => array_map(static fn (Reading $r): array => ['client_id' => ReadingId::of($series, $r->tMs), ...$writer->reading($r)], $played->readings)]);
    }

    public function play(SimulationRequest $request, SimulationWriter $writer, Catalogue $catalogue): JsonResponse
    {
        $question = $request->question();
        $answer = $question->answer($question->offered($request->mayBuy(), $catalogue))->best;
        $simulation = Simulation::of($answer, $request->seed(), $request->fault());
        $everyS = $request->everyS();
        $session = $simulation->session(new FoundInstruments($answer->chain, $simulation->ambientC(), $request->seed()), $everyS ?? Simulation::USUAL_EVERY_S);

        return response()->json($writer->whole($answer, $simulation, $session, $request->seed(), $everyS !== null));
    }
}
