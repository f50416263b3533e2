<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/** An encrypted cookie with the accounts that signed in in this browser. It grants nothing; it only spares this browser the wait after others' failed attempts. */
final class KnownBrowser
{
    private const COOKIE = 'harmozon_known';

    private const MINUTES = 400 * 24 * 60;

    private const MOST = 8;

    public static function knows(Request $request, string $account): bool
    {
        return in_array(self::hashOf($account), self::kept($request), true);
    }

    public static function remember(Request $request, string $account): void
    {
        $known = array_slice(array_values(array_unique([self::hashOf($account), ...self::kept($request)])), 0, self::MOST);
        Cookie::queue(Cookie::make(self::COOKIE, implode('.', $known), self::MINUTES, httpOnly: true, sameSite: 'lax'));
    }

    /** @return list<string> */
    private static function kept(Request $request): array
    {
        $kept = $request->cookie(self::COOKIE);

        return is_string($kept) && $kept !== '' ? explode('.', $kept) : [];
    }

    private static function hashOf(string $account): string
    {
        return substr(hash('sha256', $account), 0, 32);
    }
}
