<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Health\Finding;
use App\Health\Metrics;
use App\Health\Readiness;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a monitor asks. */
final class HealthController extends Controller
{
    /** Alive: it answers at all. */
    public function up(): Response
    {
        return new Response("up\n", 200, ['Content-Type' => 'text/plain; charset=utf-8']);
    }

    /** Able to do its work; 503 where something that it needs is not well. */
    public function ready(Readiness $readiness, Voice $voice): JsonResponse
    {
        $findings = $readiness->findings();
        $isReady = array_filter($findings, static fn (Finding $f): bool => ! $f->isGood) === [];

        return new JsonResponse([
            'ready' => $isReady,
            'checks' => array_map(static fn (Finding $f): array => ['check' => $f->subject->value, 'good' => $f->isGood, 'says' => $voice->say($f->says)], $findings),
        ], $isReady ? 200 : 503);
    }

    /** Figures in the open text format, for those with the token; without one in the settings there is no such page. */
    public function metrics(Request $request, Metrics $metrics): Response
    {
        $token = (string) config('harmozon.metrics_token');
        abort_if($token === '', 404);
        abort_unless(hash_equals($token, (string) $request->bearerToken()), 401);

        return new Response($metrics->text(), 200, ['Content-Type' => Metrics::TYPE]);
    }
}
