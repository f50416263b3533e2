<?php

declare(strict_types=1);

namespace App\People;

/**
 * Links that are sent to people. They always start with the application's own address (APP_URL), never with the host of
 * the request: a link that leads elsewhere would give away its secret.
 */
final class AppLinks
{
    public static function invitation(#[\SensitiveParameter] string $token): string
    {
        return self::to('/invitation', $token);
    }

    public static function newPassword(string $email, #[\SensitiveParameter] string $token): string
    {
        return self::to('/new-password', http_build_query(['email' => $email, 'token' => $token]));
    }

    /** The part after the hash is never sent to a server. */
    private static function to(string $path, #[\SensitiveParameter] string $secret): string
    {
        return rtrim((string) config('app.url'), '/').$path.'#'.$secret;
    }
}
