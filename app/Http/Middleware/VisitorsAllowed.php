<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Closes the pages for people without an account, where the site operator wants that. */
final class VisitorsAllowed
{
    public function __construct(private readonly Voice $voice)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        abort_unless(config('harmozon.visitors') === true, 403, $this->voice->say(Message::of('app.visitors_closed')));

        return $next($request);
    }
}
