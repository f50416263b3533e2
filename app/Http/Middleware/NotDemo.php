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
 * The accounts of the made-up garages, which anybody opens, stay as they are, bring nobody in and go nowhere: else anybody
 * could come into a house whose door is closed.
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
