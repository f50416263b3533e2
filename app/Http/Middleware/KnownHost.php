<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\KnownHosts;
use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as TextResponse;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Response;

/** Refuses a request for a host that isn't ours before anything is looked up. Runs after trusted proxies are resolved. */
final readonly class KnownHost
{
    public function __construct(private Voice $voice)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        if (! KnownHosts::of((string) config('app.url'), (array) config('harmozon.hosts'))->has(self::hostOf($request))) {
            $told = Message::of('app.unknown_host');

            return $request->is('api/*')
                ? new JsonResponse(['message' => $this->voice->say($told), 'code' => $told->code], 400)
                : new TextResponse($this->voice->say($told)."\n", 400, ['Content-Type' => 'text/plain; charset=utf-8']);
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }

    /** Empty where there is none. */
    private static function hostOf(Request $request): string
    {
        try {
            return $request->getHost();
        } catch (SuspiciousOperationException) {
            return '';
        }
    }
}
