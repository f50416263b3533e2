<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Garage\Permission;
use App\People\SignedInUser;
use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Checks what a person may do in the open garage. Without a permission: look. People without a garage see none. */
final readonly class MayAct
{
    public function __construct(private Voice $voice)
    {
    }

    public function handle(Request $request, Closure $next, ?string $act = null): Response
    {
        $role = SignedInUser::signedIn()->role();
        if ($role === null) {
            abort(403, $this->voice->say(Message::of('app.no_garage')));
        }
        if ($act !== null && ! $role->may(Permission::from($act))) {
            abort(403, $this->voice->say(Message::of('app.may_not', role: $role->message(), act: Permission::from($act)->message())));
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
