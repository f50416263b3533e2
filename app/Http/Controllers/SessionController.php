<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BeginSessionRequest;
use App\Models\ChargeSession;
use App\Sessions\SessionBook;
use App\Sessions\SessionLine;
use App\Sessions\SessionReport;
use Illuminate\Http\JsonResponse;
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
        $session = $this->book->begin($request->question(), Carbon::now(), $request->string('note')->toString());

        return $this->report($session->refresh(), 201);
    }

    public function show(ChargeSession $session): JsonResponse
    {
        return $this->report($session);
    }

    public function finish(ChargeSession $session): JsonResponse
    {
        $this->book->finish($session);

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
        return response()->json(['session' => $this->lines->of($session), ...$this->reports->full($session)], $status);
    }
}
