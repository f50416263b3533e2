<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\People\SignedInUser;
use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A page sends whose it is (`X-Account`) and which garage it shows (`X-Garage`). What was meant for one is never
 * written into another, or under somebody else's name: it gets 412 before anything is looked up, so that nothing looks
 * deleted that is only in another garage.
 */
final readonly class MatchesShownGarage
{
    public function __construct(private Voice $voice)
    {
    }

    /** @param  string  $what  `account` where no garage is meant */
    public function handle(Request $request, Closure $next, string $what = 'garage'): Response
    {
        $person = SignedInUser::signedIn();
        $differs = static fn (string $header, ?string $is): bool => ! in_array($request->headers->get($header), [null, $is], true);
        $wrong = match (true) {
            $differs('X-Account', $person->ulid) => Message::of('app.other_account'),
            $what === 'garage' && $differs('X-Garage', $person->garage?->ulid) => Message::of('app.other_garage'),
            default => null,
        };
        if ($wrong !== null) {
            return new JsonResponse(['message' => $this->voice->say($wrong), 'code' => $wrong->code], 412);
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
