<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\PieceReader;
use App\Garage\CurrentGarage;
use App\Models\Adapter;
use App\Models\ChargeSession;
use App\Models\Vehicle;
use App\Sessions\Baselines;
use App\Sessions\PastSessions;
use App\Sessions\PlateVersions;
use App\Sessions\SessionAnswer;
use App\Sessions\SessionRecorder;
use App\Sessions\StoredSession;
use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Answers\TrustWriter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Review\Comparison;
use Harmozon\Core\Review\Memory\Grades;
use Harmozon\Core\Review\Memory\LearnedCurve;
use Harmozon\Core\Review\Memory\StallMemory;
use Harmozon\Core\Review\Trust\Trust;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What sessions show: comparisons, trust in adapters, memory of stalls, and forecast accuracy. */
final class ReviewController extends Controller
{
    public function __construct(private readonly PastSessions $memory, private readonly SessionRecorder $recorder, private readonly SessionAnswer $answers)
    {
    }

    public function compare(Request $request, ReviewWriter $writer): JsonResponse
    {
        $named = $request->validate(['with' => ['required', 'string'], 'without' => ['required', 'string']]);
        [$with, $without] = array_map(static fn (string $key): ChargeSession => ChargeSession::query()->firstWhere('ulid', $named[$key]) ?? throw FieldError::at($key, Message::of('app.not_in_garage')), ['with', 'without']);
        if ($with->pieces['vehicle']['id'] !== $without->pieces['vehicle']['id']) {
            throw FieldError::at('without', Message::of('app.baseline_other_car'));
        }

        return response()->json($writer->comparison(Comparison::of(StoredSession::of($with)->recorded, StoredSession::of($without)->recorded)));
    }

    /** For every adapter of the garage. */
    public function trust(PieceReader $pieceReader, TrustWriter $writer, CurrentGarage $garage): JsonResponse
    {
        return response()->json(['adapters' => Adapter::inOrder()->map(fn (Adapter $a): array => $writer->trust(Trust::in($pieceReader->adapter($a), $this->memory->used($a->ulid), $garage->today())))->values()]);
    }

    /** About stalls, forecasts and charge curves; a board needs only the first. */
    public function memory(Request $request, TrustWriter $writer, PieceReader $pieceReader): JsonResponse
    {
        $isWhole = ($request->validate(['part' => ['sometimes', 'string']])['part'] ?? '') !== 'stalls';
        $grades = $isWhole ? $this->memory->grades() : [];
        $by = static function (string $key) use ($grades, $writer): array {
            $sorted = [];
            foreach ($grades as $grade) {
                foreach ((array) $grade[$key] as $id) {
                    $sorted[(string) $id][] = $grade['grade'];
                }
            }

            return array_map(static fn (array $of, string $id): array => ['id' => $id, ...$writer->grades(Grades::of($of))], array_values($sorted), array_map(strval(...), array_keys($sorted)));
        };
        $stalls = [];
        foreach ($this->memory->stalls() as $outlet => $memories) {
            $stalls = [...$stalls, ...array_map(static fn (StallMemory $m): array => ['outlet' => $outlet, ...$writer->stall($m)], $memories)];
        }
        $learned = [];
        foreach ($isWhole ? Vehicle::inOrder() : [] as $vehicle) {
            $curve = LearnedCurve::of($this->memory->paces($vehicle->ulid));
            if ($curve !== null) {
                $learned[] = ['vehicle' => $vehicle->ulid, ...$writer->learned($curve, $pieceReader->vehicle($vehicle)->chargeCurveKw)];
            }
        }

        return response()->json(['stalls' => $stalls, 'grades' => ['vehicles' => $by('vehicle'), 'outlets' => $by('outlet'), 'causes' => $by('causes')], 'learned' => $learned]);
    }

    /** Re-checks with current ratings; the earlier result can be restored. */
    public function judgeAnew(ChargeSession $session, PlateVersions $plates): JsonResponse
    {
        $this->recorder->judgeAnew($session, $plates);

        return $this->judged($session);
    }

    public function judgeAsBefore(ChargeSession $session): JsonResponse
    {
        if (! $this->recorder->judgeAsBefore($session)) {
            throw WrongState::of('session', Message::of('app.never_judged_anew'));
        }

        return $this->judged($session);
    }

    public function keepBaseline(ChargeSession $session, string $baseline, Baselines $baselines): JsonResponse
    {
        $baselines->add($session, $baseline);

        return $this->judged($session);
    }

    public function dropBaseline(ChargeSession $session, string $baseline, Baselines $baselines): JsonResponse
    {
        abort_if($baselines->remove($session, $baseline) === 0, 404);

        return $this->judged($session);
    }

    private function judged(ChargeSession $session): JsonResponse
    {
        return response()->json($this->answers->of($session->refresh()));
    }
}
