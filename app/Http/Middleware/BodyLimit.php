<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Imports\ArrivingFile;
use Closure;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses bodies that are too long for their kind before anything reads them (413). Forms with files have PHP's own limit (config/php). */
final readonly class BodyLimit
{
    /** Largest JSON body (bytes). A whole garage is sent as a file. */
    public const JSON = 2_000_000;

    public function __construct(private Voice $voice)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $kind = strtolower((string) $request->headers->get('Content-Type'));
        $most = match (true) {
            str_starts_with($kind, 'multipart/') => null,
            str_starts_with($kind, 'application/octet-stream') => ArrivingFile::LARGEST_PIECE + 1,
            default => self::JSON,
        };
        if ($most !== null && ((int) $request->headers->get('Content-Length') > $most || strlen($request->getContent()) > $most)) {
            $told = Message::of('app.too_large', megabytes: Amount::asGiven(round($most / 1e6, 1)));

            return new JsonResponse(['message' => $this->voice->say($told), 'code' => $told->code], 413);
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
