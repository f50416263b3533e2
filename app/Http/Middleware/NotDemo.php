<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\People\SignedInUser;
use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Protects the demo accounts, which anybody can open, from being changed or used to invite people: otherwise anybody
 * could get in where registration is closed.
 */
final readonly class NotDemo
{
    public function __construct(private Voice $voice)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        if (SignedInUser::signedIn()->isMadeUp()) {
            abort(403, $this->voice->say(Message::of('app.made_up')));
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
