<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LoggerReadingsRequest;
use App\Models\ChargeSession;
use App\Sessions\ReadingRecorder;
use Harmozon\Core\Readings\ReadingJsonReader;
use Illuminate\Http\JsonResponse;

/** The endpoint for loggers. */
final class LoggerController extends Controller
{
    /** Sent twice, a reading is stored once. */
    public function append(LoggerReadingsRequest $request, string $session, ReadingRecorder $recorder, ReadingJsonReader $reader): JsonResponse
    {
        $found = ChargeSession::query()->where('ulid', $session)->firstOrFail();
        $readings = $request->readings($reader);
        $added = $recorder->take($found, $readings);

        return response()->json(['added' => $added, 'known' => count($readings) - $added]);
    }
}
