<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Browser sessions that somebody has ended from elsewhere: from another browser, with a new password, with the account. A
 * device that comes back with one is told so, and hides what it kept; one whose time has merely run out is not among them.
 */
final class RevokedSessions
{
    private const TABLE = 'ended_sessions';

    /** How long a device may stay unused (days). */
    private const KEPT_DAYS = 400;

    /** @param  list<string>  $ids  of browser sessions */
    public static function note(array $ids): void
    {
        $now = Carbon::now();
        DB::table(self::TABLE)->where('ended_at', '<', $now->copy()->subDays(self::KEPT_DAYS))->delete();
        DB::table(self::TABLE)->insertOrIgnore(array_map(static fn (string $id): array => ['id_hash' => self::hashOf($id), 'ended_at' => $now], $ids));
    }

    public static function has(string $id): bool
    {
        return DB::table(self::TABLE)->where('id_hash', self::hashOf($id))->exists();
    }

    /** A session's id would open it, so only its hash is stored. */
    private static function hashOf(#[\SensitiveParameter] string $id): string
    {
        return hash('sha256', $id);
    }
}
