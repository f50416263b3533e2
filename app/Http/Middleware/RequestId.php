<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/** Gives every answer an id, which also stands in every line that is logged on the way: whoever reports a fault names it. */
final class RequestId
{
    public const HEADER = 'X-Request-Id';

    public function handle(Request $request, Closure $next): Response
    {
        // A web server in front has given it one already; a browser can't.
        $given = $request->server->get('REQUEST_ID');
        $id = is_string($given) && preg_match('/^[0-9a-f]{32}$/', $given) === 1 ? $given : (string) Str::ulid();
        $request->attributes->set(self::HEADER, $id);
        Log::shareContext(['request' => $id]);
        $response = $next($request);
        assert($response instanceof Response);
        $response->headers->set(self::HEADER, $id);

        return $response;
    }
}
