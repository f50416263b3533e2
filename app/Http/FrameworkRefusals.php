<?php

declare(strict_types=1);

namespace App\Http;

use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\MethodNotAllowedHttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The framework's own refusals, in our words. */
final class FrameworkRefusals
{
    private const MINUTE_S = 60;

    /** @return Message|null null where it has our own words already */
    public static function of(HttpExceptionInterface&\Throwable $e): ?Message
    {
        $headers = $e->getHeaders();

        return match (true) {
            $e instanceof MethodNotAllowedHttpException => Message::of('app.wrong_method', method: request()->method(), allowed: is_string($headers['Allow'] ?? null) ? $headers['Allow'] : ''),
            $e instanceof PostTooLargeException => Message::of('app.too_large', megabytes: Amount::asGiven(round(UploadedFile::getMaxFilesize() / 1e6, 1))),
            $e->getStatusCode() === 419 => Message::of('app.stale_token'),
            $e instanceof ThrottleRequestsException => Message::of('app.too_many_attempts', seconds: Amount::asGiven(is_numeric($headers['Retry-After'] ?? null) ? (int) $headers['Retry-After'] : self::MINUTE_S, Unit::Seconds)),
            $e instanceof NotFoundHttpException && ($e->getPrevious() instanceof ModelNotFoundException || $e->getMessage() === '') => Message::of('app.no_such_record'),
            $e instanceof NotFoundHttpException && str_starts_with($e->getMessage(), 'The route ') => Message::of('app.no_such_address'),
            default => null,
        };
    }
}
