<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Garage\CurrentGarage;
use App\Garage\DeletionPeriod;
use App\Http\Requests\BeginSessionRequest;
use App\Http\Requests\FinishRequest;
use App\Http\Requests\LogRequest;
use App\Models\ChargeSession;
use App\Sessions\Correction;
use App\Sessions\LogSums;
use App\Sessions\SessionAnswer;
use App\Sessions\SessionLine;
use App\Sessions\SessionRecorder;
use Harmozon\Core\Json\Node;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class SessionController extends Controller
{
    /** Sessions the log lists. */
    private const NEWEST = 500;

    public function __construct(
        private readonly SessionRecorder $recorder,
        private readonly SessionLine $lines,
        private readonly SessionAnswer $answers,
    ) {
    }

    /** The log: newest first, page by page. */
    public function index(LogRequest $request, CurrentGarage $garage): JsonResponse
    {
        $most = $request->most() ?? self::NEWEST;
        $page = $request->filter()->page($request->afterSession(), $most + 1, $garage->zone());
        $more = count($page) > $most;
        $page = array_slice($page, 0, $most);

        return response()->json([
            'sessions' => array_map($this->lines->of(...), $page),
            'total' => $request->filter()->count($garage->zone()),
            'next' => $more ? $page[$most - 1]->ulid : null,
        ]);
    }

    /** Totals of the filtered sessions. */
    public function sums(LogRequest $request, CurrentGarage $garage): JsonResponse
    {
        return response()->json(LogSums::of($request->filter(), $garage->zone()));
    }

    public function store(BeginSessionRequest $request): JsonResponse
    {
        $session = $this->recorder->begin($request->question(), $request->startedAt(), $request->string('note')->toString(), $request->id(), $request->stall());

        return $this->report($session->refresh(), $session->wasRecentlyCreated ? 201 : 200);
    }

    public function show(ChargeSession $session): JsonResponse
    {
        return $this->report($session);
    }

    /** Corrects clock, stall, note, metered energy and price. */
    public function correct(Request $request, ChargeSession $session): JsonResponse
    {
        Correction::of($session, Node::of($request->all()));

        return $this->report($session);
    }

    /** Finishes now, or at a moment since plugging in, such as the last reading of a forgotten session. */
    public function finish(FinishRequest $request, ChargeSession $session): JsonResponse
    {
        $this->recorder->finish($session, $request->at($session));

        return $this->report($session);
    }

    public function reopen(ChargeSession $session): JsonResponse
    {
        $this->recorder->reopen($session);

        return $this->report($session);
    }

    /** Soft-deletes: it can be restored. */
    /** Deleting twice is the same as deleting once. */
    public function destroy(string $id): Response
    {
        $kept = ChargeSession::withTrashed()->where('ulid', $id)->firstOrFail();
        $kept->delete();

        return response()->noContent();
    }

    public function restore(string $id): JsonResponse
    {
        return $this->report(DeletionPeriod::restored(ChargeSession::class, $id));
    }

    private function report(ChargeSession $session, int $status = 200): JsonResponse
    {
        return response()->json($this->answers->of($session), $status);
    }
}
