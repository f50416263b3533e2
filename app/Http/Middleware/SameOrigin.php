<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Before there is a session with a token, keeps other sites' pages from signing anybody in. */
final class SameOrigin
{
    public function handle(Request $request, Closure $next): Response
    {
        $origin = $request->headers->get('Origin');
        if ($origin !== null && $origin !== $request->getSchemeAndHttpHost()) {
            abort(403, app(Voice::class)->say(Message::of('app.another_site')));
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
