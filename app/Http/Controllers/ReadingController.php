<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ReadingsRequest;
use App\Models\ChargeSession;
use App\Models\Reading;
use App\Sessions\ReadingRecorder;
use App\Sessions\SessionReport;
use Harmozon\Core\Readings\ReadingJsonReader;
use Harmozon\Core\Record\Reading as CoreReading;
use Illuminate\Http\JsonResponse;

final class ReadingController extends Controller
{
    /** The number of newest rows that the page lists. */
    private const NEWEST = 50;

    public function __construct(private readonly ReadingRecorder $recorder, private readonly SessionReport $reports)
    {
    }

    /** The newest readings, as they were taken. */
    public function index(ChargeSession $session): JsonResponse
    {
        $newest = Reading::newestOf($session, self::NEWEST);

        return response()->json([
            'count' => Reading::countOf($session),
            'readings' => $newest->map(static fn (Reading $r): array => [
                'client_id' => $r->client_id,
                't_s' => $r->t_ms / 1000,
                ...$r->only([...CoreReading::quantities(), 'source', 'note']),
            ]),
        ]);
    }

    public function store(ReadingsRequest $request, ChargeSession $session, ReadingJsonReader $reader): JsonResponse
    {
        $added = $this->recorder->take($session, $request->readings($reader), $request->boolean('late'));

        return response()->json(['added' => $added, ...$this->reports->now($session)]);
    }

    public function destroy(ChargeSession $session, string $clientId): JsonResponse
    {
        // One that is not there is as it should be: said twice, it is gone once.
        $this->recorder->forget($session, $clientId);

        return response()->json($this->reports->now($session));
    }
}
