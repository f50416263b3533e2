<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** How often one logger may call; one that is too fast is told when to retry. */
final readonly class LoggerPace
{
    private const CALLS_A_MINUTE = 120;

    private const MINUTE_S = 60;

    public function __construct(private RateLimiter $limiter, private Voice $voice)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $key = "logger:{$request->attributes->getInt('logger')}";
        if ($this->limiter->tooManyAttempts($key, self::CALLS_A_MINUTE)) {
            $seconds = max(1, $this->limiter->availableIn($key));

            return new JsonResponse(['message' => $this->voice->say(Message::of('app.logger_too_fast', seconds: Amount::count($seconds)))], 429, ['Retry-After' => (string) $seconds]);
        }
        $this->limiter->hit($key, self::MINUTE_S);
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
