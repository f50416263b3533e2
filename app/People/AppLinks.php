<?php

declare(strict_types=1);

namespace App\People;

/**
 * Addresses of pages that are sent to people. They begin with the application's own address (APP_URL), whatever the one who
 * asked for the mail calls it: a link that leads elsewhere would give its secret away.
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

    /** The part after the hash is not sent to any server. */
    private static function to(string $path, #[\SensitiveParameter] string $secret): string
    {
        return rtrim((string) config('app.url'), '/').$path.'#'.$secret;
    }
}
