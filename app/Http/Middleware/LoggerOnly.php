<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Garage\CurrentGarage;
use App\Garage\Permission;
use App\Models\LoggerToken;
use App\Models\User;
use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets a logger in with its token, into the garage that the token is for, while its owner may still record there. */
final readonly class LoggerOnly
{
    public function __construct(private CurrentGarage $garage, private Voice $voice)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $token = LoggerToken::findToken((string) $request->bearerToken());
        $owner = $token?->tokenable;
        if (! $token instanceof LoggerToken || ! $owner instanceof User || ($token->expires_at !== null && $token->expires_at->isPast())) {
            return new JsonResponse(['message' => $this->voice->say(Message::of('app.no_such_token'))], 401, ['WWW-Authenticate' => 'Bearer']);
        }
        $role = $owner->memberships()->where('garage_id', $token->garage_id)->first()?->role;
        if ($role === null || ! $role->may(Permission::Record) || $token->cant(LoggerToken::APPEND)) {
            return new JsonResponse(['message' => $this->voice->say(Message::of('app.token_may_not'))], 403);
        }
        $token->forceFill(['last_used_at' => now()])->save();
        $request->attributes->set('logger', $token->id);

        return $this->garage->open($token->garage_id, static function () use ($next, $request): Response {
            $response = $next($request);
            assert($response instanceof Response);

            return $response;
        });
    }
}
