<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\EventsRequest;
use App\Models\ChargeSession;
use App\Sessions\EventRecorder;
use App\Sessions\SessionEvents;
use Harmozon\Core\Readings\EventJsonReader;
use Illuminate\Http\JsonResponse;

final class EventController extends Controller
{
    public function __construct(private readonly EventRecorder $recorder, private readonly SessionEvents $events)
    {
    }

    public function store(EventsRequest $request, ChargeSession $session, EventJsonReader $reader): JsonResponse
    {
        $added = $this->recorder->note($session, $request->events($reader));

        return response()->json(['added' => $added, ...$this->events->of($session)]);
    }

    public function destroy(ChargeSession $session, string $clientId): JsonResponse
    {
        // One that is not there is as it should be: said twice, it is gone once.
        $this->recorder->forget($session, strtoupper($clientId));

        return response()->json($this->events->of($session));
    }
}
