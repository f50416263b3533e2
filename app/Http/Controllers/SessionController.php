<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BeginSessionRequest;
use App\Http\Requests\FinishRequest;
use App\Models\ChargeSession;
use App\Sessions\Correction;
use App\Sessions\SessionBook;
use App\Sessions\SessionEvents;
use App\Sessions\SessionLine;
use App\Sessions\SessionReport;
use Harmozon\Core\Files\Node;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;

final class SessionController extends Controller
{
    /** Sessions the log lists. */
    private const NEWEST = 500;

    public function __construct(
        private readonly SessionBook $book,
        private readonly SessionLine $lines,
        private readonly SessionReport $reports,
        private readonly SessionEvents $events,
    ) {
    }

    /** The log: newest first. */
    public function index(): JsonResponse
    {
        return response()->json([
            'sessions' => ChargeSession::newest(self::NEWEST)->map($this->lines->of(...)),
        ]);
    }

    public function store(BeginSessionRequest $request): JsonResponse
    {
        $session = $this->book->begin($request->question(), $request->startedAt(), $request->string('note')->toString(), $request->id(), $request->stall());

        return $this->report($session->refresh(), $session->wasRecentlyCreated ? 201 : 200);
    }

    public function show(ChargeSession $session): JsonResponse
    {
        return $this->report($session);
    }

    /** Clock, stall, note, and what the place counted and asked for. */
    public function correct(Request $request, ChargeSession $session): JsonResponse
    {
        Correction::of($session, Node::of($request->all()));

        return $this->report($session);
    }

    /** Now, or at a moment since plugging in: the last reading of one that was forgotten. */
    public function finish(FinishRequest $request, ChargeSession $session): JsonResponse
    {
        $this->book->finish($session, $request->at($session));

        return $this->report($session);
    }

    public function reopen(ChargeSession $session): JsonResponse
    {
        $this->book->reopen($session);

        return $this->report($session);
    }

    /** Put aside, not destroyed: it can be brought back. */
    public function destroy(ChargeSession $session): Response
    {
        $session->delete();

        return response()->noContent();
    }

    public function restore(string $id): JsonResponse
    {
        $kept = ChargeSession::withTrashed()->where('ulid', $id)->firstOrFail();
        assert($kept instanceof ChargeSession);
        $kept->restore();

        return $this->report($kept);
    }

    private function report(ChargeSession $session, int $status = 200): JsonResponse
    {
        return response()->json(['now' => Carbon::now()->toIso8601ZuluString('millisecond'), 'session' => $this->lines->of($session), ...$this->events->of($session), ...$this->reports->full($session)], $status);
    }
}
