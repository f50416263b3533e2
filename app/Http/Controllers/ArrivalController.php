<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PieceRequest;
use App\Imports\WorkerHeartbeat;
use App\Models\GarageArrival;
use App\Moving\GarageArrivals;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A garage's document that arrives in parts and is imported in the background. */
final class ArrivalController extends Controller
{
    public function __construct(private readonly GarageArrivals $arrivals, private readonly WorkerHeartbeat $worker)
    {
    }

    public function newest(): JsonResponse
    {
        $newest = $this->arrivals->newest();

        return response()->json(['arrival' => $newest === null ? null : $this->told($newest)]);
    }

    public function store(Request $request): JsonResponse
    {
        $typed = $request->validate(['name' => ['required', 'string', 'max:200'], 'bytes' => ['required', 'integer', 'min:1'], 'replace' => ['boolean']]);

        return response()->json($this->told($this->arrivals->begin((string) $typed['name'], (int) $typed['bytes'], $request->boolean('replace'))), 201);
    }

    public function append(PieceRequest $request, GarageArrival $arrival): JsonResponse
    {
        return response()->json($this->told($this->arrivals->append($arrival, $request->from(), $request->piece())));
    }

    public function start(GarageArrival $arrival): JsonResponse
    {
        return response()->json($this->told($this->arrivals->start($arrival)));
    }

    public function show(GarageArrival $arrival): JsonResponse
    {
        return response()->json($this->told($arrival));
    }

    public function destroy(GarageArrival $arrival): Response
    {
        $this->arrivals->forget($arrival);

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private function told(GarageArrival $arrival): array
    {
        return ['id' => $arrival->ulid, ...$arrival->only(['name', 'bytes', 'received', 'state', 'readings', 'moved', 'problem']), 'worker_seen_s' => $this->worker->ago()];
    }
}
