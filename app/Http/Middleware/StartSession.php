<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as FrameworksStartSession;
use Symfony\Component\HttpFoundation\Response;

/** Sessions are stored only from signing in on: a visitor without a cookie leaves nothing behind. */
final class StartSession extends FrameworksStartSession
{
    /** Prefix of sessions that end with the response. */
    private const BRIEF = 'array';

    /** Routes for signing in. */
    private const BEGINS = ['api/sign-in', 'api/demo-sign-in', 'api/accounts', 'api/invitations/*/account', 'api/password/reset'];

    /** @param  Request  $request */
    public function handle($request, Closure $next): mixed
    {
        $kept = $this->manager->getDefaultDriver();
        if (! $request->cookies->has((string) config('session.cookie')) && ! $request->is(self::BEGINS)) {
            $this->manager->setDefaultDriver(self::BRIEF);
        }
        try {
            return parent::handle($request, $next);
        } finally {
            $this->manager->setDefaultDriver((string) $kept);
        }
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if ($this->manager->getDefaultDriver() !== self::BRIEF) {
            parent::addCookieToResponse($response, $session);
        }
    }

    /** Not needed: the page handles its own navigation, and storing the URL would change the session with every call. */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }
}
