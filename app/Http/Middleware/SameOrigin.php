<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where there is no session yet, and so no token of it: nobody signs in from another site's page. */
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
