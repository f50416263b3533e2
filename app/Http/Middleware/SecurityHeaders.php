<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Everything comes from this host, and no page has inline scripts. */
final class SecurityHeaders
{
    /** Inline styles are allowed: the controls and charts place themselves with them. */
    private const POLICY = "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; "
        ."connect-src 'self'; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    private const SECURE_FOR = 'max-age=31536000';

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        assert($response instanceof Response);
        foreach ([
            'Content-Security-Policy' => self::POLICY,
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), microphone=(), geolocation=()',
            'Cross-Origin-Opener-Policy' => 'same-origin',
            // Answers belong to one person. Files with a name of their own may be cached, but are revalidated each time, so another person gets none.
            'Cache-Control' => $request->is('api/*') && $response->getEtag() === null ? 'no-store, private' : 'no-cache, private',
            ...($request->isSecure() ? ['Strict-Transport-Security' => self::SECURE_FOR] : []),
        ] as $name => $value) {
            $response->headers->set($name, $value);
        }
        if (! headers_sent()) {
            header_remove('X-Powered-By');
        }

        return $response;
    }
}
